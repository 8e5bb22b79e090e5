import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query'
import { client, reply } from '../../shared/api/http'
import type { components } from '../../shared/api/schema'
import { wish } from '../../shared/writes/wish'

export type JobState = 'open' | 'parked' | 'closed' | 'cancelled'

/** A page at a time, newest first. */
export const jobs = (state: JobState) =>
  infiniteQueryOptions({
    queryKey: ['jobs', 'list', state],
    queryFn: ({ pageParam }) =>
      reply(
        client.GET('/api/jobs', { params: { query: pageParam === null ? { state } : { state, before: pageParam } } }),
      ),
    initialPageParam: null as string | null,
    getNextPageParam: (last) => last.next,
  })

export const unitToOpenOn = (id: string) =>
  queryOptions({
    queryKey: ['units', 'sheet', id],
    queryFn: () => reply(client.GET('/api/units/{id}', { params: { path: { id } } })),
  })

export const openJob = (job: components['schemas']['NewJob'], unit: string) =>
  wish('post', '/api/jobs', {}, job, `New job on ${unit}: ${job.complaint}`)
