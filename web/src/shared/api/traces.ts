import { queryOptions } from '@tanstack/react-query'
import { client, readReply, reply, request } from './http'
import type { components } from './schema'

type Schemas = components['schemas']
export type Traces = Schemas['CrankTraces']
export type TraceLine = Schemas['TraceLine']
export type Trace = Schemas['CrankTrace']
export type Curve = Schemas['Curve']

/** Two minutes: the longest trace is on its way and read within. */
const PATIENCE_MILLISECONDS = 120_000

export const traces = (unit: string) =>
  queryOptions({
    queryKey: ['units', 'traces', unit],
    queryFn: () => reply(client.GET('/api/units/{id}/crank-traces', { params: { path: { id: unit } } })),
  })

export const trace = (id: string) =>
  queryOptions({
    queryKey: ['traces', id],
    queryFn: () => reply(client.GET('/api/crank-traces/{id}', { params: { path: { id } } })),
    // It never changes; only what it stands beside may.
    staleTime: 60_000,
  })

/** Packed on the way, where the browser can. */
async function packed(file: Blob): Promise<{ body: Blob; type: string }> {
  if (!('CompressionStream' in window)) return { body: file, type: 'text/csv' }
  const stream = file.stream().pipeThrough(new CompressionStream('gzip'))
  return { body: await new Response(stream).blob(), type: 'application/gzip' }
}

export interface Said {
  cylinders: string
  celsius: string
  factor: number | null
}

/** Sends a trace under an id: the same id is the same trace, however often it goes out. */
export async function bringInTrace(unit: string, file: Blob, said: Said, id: string): Promise<Trace> {
  const query = new URLSearchParams({ id })
  if (said.cylinders.trim() !== '') query.set('cylinders', said.cylinders.trim())
  if (said.celsius.trim() !== '') query.set('celsius', said.celsius.trim())
  if (said.factor !== null) query.set('factor', String(said.factor))
  const { body, type } = await packed(file)
  const response = await request(
    `/api/units/${unit}/crank-traces?${query.toString()}`,
    { method: 'POST', headers: { 'content-type': type, 'request-id': id }, body },
    PATIENCE_MILLISECONDS,
  )
  return (await readReply(response)) as Trace
}
