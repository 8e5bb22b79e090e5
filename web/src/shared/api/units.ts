import { queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'
import type { NewFitting, NewUnit, UnitSheet } from './types'
import { wish } from './wish'

type Named = Pick<UnitSheet, 'id' | 'number'>
type Fields = Omit<NewUnit, 'id'>

/** Units in service, or the retired ones. */
export const units = (retired: boolean) =>
  queryOptions({
    queryKey: ['units', 'list', retired],
    queryFn: () => reply(client.GET('/api/units', { params: { query: { retired: retired ? 'true' : 'false' } } })),
  })

export const unitSheet = (id: string) =>
  queryOptions({
    queryKey: ['units', 'sheet', id],
    queryFn: () => reply(client.GET('/api/units/{id}', { params: { path: { id } } })),
  })

/** What of its circuit a complaint can be about. */
export const complaints = (id: string, enabled: boolean) =>
  queryOptions({
    queryKey: ['units', 'complaints', id],
    queryFn: () => reply(client.GET('/api/units/{id}/complaints', { params: { path: { id } } })),
    enabled,
  })

export const enterUnit = (id: string, input: Fields) =>
  wish('post', '/api/units', {}, { ...input, id }, `New unit ${input.number}`)

export const changeUnit = (id: string, input: Fields, version: number) =>
  wish('patch', '/api/units/{id}', { id }, { ...input, lock_version: version }, `Changes to unit ${input.number}`)

export const fitBattery = (unit: Named, fitting: NewFitting) =>
  wish('post', '/api/units/{id}/fittings', { id: unit.id }, fitting, `Battery ${fitting.position} on ${unit.number}`)

export const takeOff = (unit: Named, position: string) =>
  wish(
    'post',
    '/api/units/{id}/fittings/{position}/take-off',
    { id: unit.id, position },
    {},
    `Battery ${position} off ${unit.number}`,
  )

export const retire = (unit: Named) =>
  wish('post', '/api/units/{id}/retire', { id: unit.id }, {}, `Retire ${unit.number}`)

export const bringBack = (unit: Named) =>
  wish('post', '/api/units/{id}/return', { id: unit.id }, {}, `Bring back ${unit.number}`)
