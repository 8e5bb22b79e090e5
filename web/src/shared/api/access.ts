import { queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'
import type { components } from './schema'
import type { UnitSheet } from './types'
import { wish } from './wish'

type Schemas = components['schemas']
export type UnitAccess = Schemas['UnitAccess']
export type AccessNote = UnitAccess['notes'][number]

/** How to get at places of a unit, as it was written for its class. */
export const unitAccess = (id: string) =>
  queryOptions({
    queryKey: ['units', 'access', id],
    queryFn: () => reply(client.GET('/api/units/{id}/access', { params: { path: { id } } })),
  })

export const noteAccess = (unit: UnitSheet, input: Schemas['NewAccessNote']) =>
  wish('post', '/api/units/{id}/access', { id: unit.id }, input, `${input.place} on ${unit.number}`)

export const strikeAccess = (unit: UnitSheet, note: AccessNote) =>
  wish(
    'post',
    '/api/units/{id}/access/{note}/end',
    { id: unit.id, note: note.id },
    {},
    `${note.place} on ${unit.number}`,
  )
