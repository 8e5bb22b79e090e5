import { keepPreviousData, queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'
import type { components } from './schema'

export type Sum = components['schemas']['Sums']['sums'][number]
export type Typed = Record<string, string>

export const sums = () =>
  queryOptions({ queryKey: ['sums'], queryFn: () => reply(client.GET('/api/sums')), staleTime: Infinity })

/** A sum worked out by the server from what was typed; the last answer stays until the next one is there. */
export const worked = (key: string, typed: Typed) =>
  queryOptions({
    queryKey: ['sums', 'worked', key, typed],
    queryFn: () =>
      reply(client.GET('/api/sums/{key}', { params: { path: { key }, query: typed as unknown as never } })),
    placeholderData: keepPreviousData,
    retry: false,
  })
