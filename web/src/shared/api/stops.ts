import { queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'
import type { components } from './schema'
import { wish } from './wish'

type Schemas = components['schemas']
export type Stops = Schemas['Stops']
export type Stop = Schemas['Stop']
export type StopRow = Schemas['StopRow']

/** Ways to stop the engine on one sheet, what single faults do to them, and how they were tried. */
export const stops = (id: string) =>
  queryOptions({
    queryKey: ['circuits', 'stops', id],
    queryFn: () => reply(client.GET('/api/circuits/{id}/stops', { params: { path: { id } } })),
  })

export const proveStop = (id: string, body: Schemas['NewStopProof'], words: string) =>
  wish('post', '/api/circuits/{id}/stop-proofs', { id }, body, words)

export const answerStop = (id: string, body: Schemas['NewStopAnswer'], words: string) =>
  wish('post', '/api/circuits/{id}/stop-answers', { id }, body, words)
