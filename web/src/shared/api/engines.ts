import { queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'
import type { components } from './schema'
import { wish } from './wish'

type Schemas = components['schemas']
export type Engine = Schemas['Engine']
export type KillSearch = Schemas['KillSearch']
export type PlugSearch = Schemas['PlugSearch']
export type Cap = Schemas['Cap']
export type KeptSum = Schemas['KeptSum']
export type EngineLine = Schemas['EngineLine']
export type NewEntry = Omit<Schemas['NewEngineEntry'], 'id'>

/** What is known of the engine of a unit beside its loops. */
export const engine = (unitId: string) =>
  queryOptions({
    queryKey: ['units', unitId, 'engine'],
    queryFn: () => reply(client.GET('/api/units/{id}/engine', { params: { path: { id: unitId } } })),
  })

export const tellEngine = (unitId: string, id: string, entry: NewEntry, words: string) =>
  wish('post', '/api/units/{id}/engine-entries', { id: unitId }, { id, ...entry }, words)

export const strikeEntry = (entry: { id: string }, reason: string) =>
  wish('post', '/api/engine-entries/{id}/strike', { id: entry.id }, { reason }, 'Struck out')
