import { queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'
import type { components } from './schema'

type Due = components['schemas']['Due']
export type DueKind = Due['kinds'][number]
type Key = 'batteries' | 'start' | 'charge' | 'grounds'

const STALE_MILLISECONDS = 300_000

/** What is due by kind of work; one kind in full, or the first of each. */
export const due = (kind?: string) =>
  queryOptions({
    queryKey: ['today', 'due', kind ?? ''],
    queryFn: () => reply(client.GET('/api/due', { params: { query: kind ? { kind: kind as Key } : {} } })),
    staleTime: STALE_MILLISECONDS,
  })
