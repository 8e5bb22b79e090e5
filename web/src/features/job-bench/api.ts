import { queryOptions, useQueryClient } from '@tanstack/react-query'
import { client, reply } from '../../shared/api/http'
import type { components } from '../../shared/api/schema'
import type { JobBench, NewReading, NewRepair } from '../../shared/api/types'
import { useFormWrite } from '../../shared/writes/useFormWrite'
import { useWrite } from '../../shared/writes/useWrite'
import { wish } from '../../shared/writes/wish'

type Schemas = components['schemas']
const OTHERS_MILLISECONDS = 15_000

export const bench = (id: string) =>
  queryOptions({
    queryKey: ['jobs', 'bench', id],
    queryFn: () => reply(client.GET('/api/jobs/{id}', { params: { path: { id } } })),
    refetchInterval: OTHERS_MILLISECONDS,
  })

interface BenchWrite<T> {
  name: string
  empty: T
  onSaved?: (job: JobBench) => void
  onWaiting?: () => void
}

/** The answer to a write on a job is the whole bench, so the page is true at once. */
function useBenchOptions<T>(jobId: string, { name, onSaved, ...rest }: BenchWrite<T>) {
  const queries = useQueryClient()
  return {
    ...rest,
    name: `job:${jobId}:${name}`,
    onSaved: (job: JobBench) => {
      queries.setQueryData(bench(jobId).queryKey, job)
      onSaved?.(job)
    },
  }
}

export const useBenchWrite = <T extends object>(jobId: string, options: BenchWrite<T>) =>
  useWrite<T, JobBench>(useBenchOptions(jobId, options))

export const useBenchForm = <T extends object>(jobId: string, options: BenchWrite<T>) =>
  useFormWrite<T, JobBench>(useBenchOptions(jobId, options))

const on = (job: JobBench) => `on ${job.unit.number}`

export const takeReading = (job: JobBench, body: NewReading, what: string) =>
  wish('post', '/api/jobs/{id}/readings', { id: job.id }, body, `Reading ${on(job)}: ${what}`)

export const correctReading = (job: JobBench, wrongId: string, body: Schemas['Correction'], what: string) =>
  wish('post', '/api/readings/{id}/correction', { id: wrongId }, body, `Correction ${on(job)}: ${what}`)

export const withdrawReading = (job: JobBench, id: string, reason: string, what: string) =>
  wish('post', '/api/readings/{id}/withdrawal', { id }, { reason }, `Withdrawal ${on(job)}: ${what}`)

export const recordRepair = (job: JobBench, body: NewRepair, what: string) =>
  wish('post', '/api/jobs/{id}/repairs', { id: job.id }, body, `Repair ${on(job)}: ${what}`)

export const makePermanent = (job: JobBench, id: string, what: string) =>
  wish('post', '/api/repairs/{id}/make-permanent', { id }, {}, `Permanent ${on(job)}: ${what}`)

export const noteDisturbance = (job: JobBench, id: string, what: string) =>
  wish('post', '/api/jobs/{id}/disturbances', { id: job.id }, { id, what }, `Disturbed ${on(job)}: ${what}`)

export const putBack = (job: JobBench, id: string, what: string) =>
  wish('post', '/api/disturbances/{id}/put-back', { id }, {}, `Put back ${on(job)}: ${what}`)

export const condemn = (job: JobBench, body: Schemas['NewCondemnation'], what: string) =>
  wish('post', '/api/jobs/{id}/condemnations', { id: job.id }, body, `Condemned ${on(job)}: ${what}`)

export type Ending = 'close' | 'park' | 'reopen' | 'cancel'

export const endJob = (job: JobBench, ending: Ending, reason: string) =>
  wish(
    'post',
    '/api/jobs/{id}/{ending}',
    { id: job.id, ending },
    { lock_version: job.lock_version, reason },
    `${ending} the job ${on(job)}`,
  )
