import { queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'
import type { components } from './schema'
import { wish } from './wish'

type Schemas = components['schemas']
export type Shelf = Schemas['Shelf']
export type Spare = Schemas['Spare']
export type BatteryRecord = Schemas['BatteryRecord']
export type Outlook = Schemas['Outlook']

type Named = Pick<BatteryRecord, 'id' | 'tag'>

/** Spare batteries, what wants charging first, and which go together. */
export const shelf = () =>
  queryOptions({ queryKey: ['batteries', 'shelf'], queryFn: () => reply(client.GET('/api/shelf')) })

export const battery = (id: string) =>
  queryOptions({
    queryKey: ['batteries', 'one', id],
    queryFn: () => reply(client.GET('/api/batteries/{id}', { params: { path: { id } } })),
  })

export const enterBattery = (input: Schemas['NewBattery']) =>
  wish('post', '/api/batteries', {}, input, `Battery ${input.tag} onto the shelf`)

export const checkSpare = (one: Named, input: Schemas['NewShelfCheck']) =>
  wish('post', '/api/batteries/{id}/checks', { id: one.id }, input, `Battery ${one.tag} looked after`)

export const scrap = (one: Named, reason: string) =>
  wish('post', '/api/batteries/{id}/scrap', { id: one.id }, { reason }, `Battery ${one.tag} scrapped`)

export const keep = (one: Named) =>
  wish('post', '/api/batteries/{id}/keep', { id: one.id }, {}, `Battery ${one.tag} back onto the shelf`)
