import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query'
import { asRequest, client, reply, type HttpError } from '../../shared/api/http'
import type { JobBench } from '../../shared/api/types'
import type { components } from '../../shared/api/schema'

export type JobState = 'open' | 'parked' | 'closed' | 'cancelled'

export const jobs = (state: JobState) =>
  queryOptions({
    queryKey: ['jobs', 'list', state],
    queryFn: () => reply(client.GET('/api/jobs', { params: { query: { state } } })),
  })

export const unitToOpenOn = (id: string) =>
  queryOptions({
    queryKey: ['units', 'sheet', id],
    queryFn: () => reply(client.GET('/api/units/{id}', { params: { path: { id } } })),
  })

export function useOpenJob() {
  const queries = useQueryClient()
  return useMutation<JobBench, HttpError, components['schemas']['NewJob']>({
    mutationFn: (job) => reply(client.POST('/api/jobs', { params: { header: asRequest(job.id) }, body: job })),
    onSuccess: () =>
      Promise.all(['jobs', 'units', 'today'].map((key) => queries.invalidateQueries({ queryKey: [key] }))),
  })
}
