import { queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'
import type { components } from './schema'
import { wish } from './wish'

type Schemas = components['schemas']
export type Grounds = Schemas['Grounds']
export type Ground = Grounds['grounds'][number]
export type GroundRead = Schemas['GroundRead']

/** The grounds of a unit, in the order of a round. */
export const grounds = (id: string) =>
  queryOptions({
    queryKey: ['units', 'grounds', id],
    queryFn: () => reply(client.GET('/api/units/{id}/grounds', { params: { path: { id } } })),
  })

export const addSecondGround = (unit: Grounds['unit'], input: Schemas['NewSecondGround']) =>
  wish('post', '/api/units/{id}/second-ground', { id: unit.id }, input, `Second ground on ${unit.number}`)

export const removeSecondGround = (unit: Grounds['unit'], reason: string) =>
  wish('post', '/api/units/{id}/second-ground/removal', { id: unit.id }, { reason }, `Second ground off ${unit.number}`)

export const serveGround = (unit: Grounds['unit'], ground: Ground, input: Schemas['NewGroundService']) =>
  wish(
    'post',
    '/api/units/{id}/grounds/{uuid}/services',
    { id: unit.id, uuid: ground.uuid },
    input,
    `${ground.label} on ${unit.number}`,
  )
