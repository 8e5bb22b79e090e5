import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'
import type { components } from './schema'

export type TimelineEntry = components['schemas']['Timeline']['entries'][number]

/** What happened to a unit, a page at a time, the newest first. */
export const timeline = (id: string) =>
  infiniteQueryOptions({
    queryKey: ['units', 'timeline', id],
    queryFn: ({ pageParam }) =>
      reply(
        client.GET('/api/units/{id}/timeline', {
          params: { path: { id }, query: pageParam === null ? {} : { before: pageParam } },
        }),
      ),
    initialPageParam: null as string | null,
    getNextPageParam: (last) => last.before,
  })

export const visit = (id: string, day: string, job: string | null) =>
  queryOptions({
    queryKey: ['units', 'visit', id, day, job],
    queryFn: () =>
      reply(
        client.GET('/api/units/{id}/visit', { params: { path: { id }, query: { day, ...(job !== null && { job }) } } }),
      ),
  })
