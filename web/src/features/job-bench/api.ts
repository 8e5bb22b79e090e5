import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query'
import { asRequest, client, reply, type HttpError } from '../../shared/api/http'
import type { components } from '../../shared/api/schema'
import type { JobBench, NewReading, NewRepair } from '../../shared/api/types'

const OTHERS_MILLISECONDS = 15_000

export const bench = (id: string) =>
  queryOptions({
    queryKey: ['jobs', 'bench', id],
    queryFn: () => reply(client.GET('/api/jobs/{id}', { params: { path: { id } } })),
    refetchInterval: OTHERS_MILLISECONDS,
  })

/** A write on a job: the answer is the whole bench, so the page is true at once. */
function useBenchWrite<T extends { requestId: string }>(jobId: string, write: (input: T) => Promise<JobBench>) {
  const queries = useQueryClient()
  return useMutation<JobBench, HttpError, T>({
    mutationFn: write,
    networkMode: 'always',
    onSuccess: async (job) => {
      queries.setQueryData(bench(jobId).queryKey, job)
      await Promise.all(['units', 'today'].map((key) => queries.invalidateQueries({ queryKey: [key] })))
    },
    onError: async (error) => {
      if (error.status === 409) await queries.invalidateQueries({ queryKey: bench(jobId).queryKey })
    },
  })
}

const onJob = (id: string, requestId: string) => ({ params: { path: { id }, header: asRequest(requestId) } })

export const useTakeReading = (jobId: string) =>
  useBenchWrite(jobId, ({ requestId, reading }: { requestId: string; reading: NewReading }) =>
    reply(client.POST('/api/jobs/{id}/readings', { ...onJob(jobId, requestId), body: reading })),
  )

export const useCorrectReading = (jobId: string) =>
  useBenchWrite(
    jobId,
    ({ requestId, wrongId, body }: { requestId: string; wrongId: string; body: components['schemas']['Correction'] }) =>
      reply(client.POST('/api/readings/{id}/correction', { ...onJob(wrongId, requestId), body })),
  )

export const useWithdrawReading = (jobId: string) =>
  useBenchWrite(jobId, ({ requestId, readingId, reason }: { requestId: string; readingId: string; reason: string }) =>
    reply(client.POST('/api/readings/{id}/withdrawal', { ...onJob(readingId, requestId), body: { reason } })),
  )

export const useRecordRepair = (jobId: string) =>
  useBenchWrite(jobId, ({ requestId, repair }: { requestId: string; repair: NewRepair }) =>
    reply(client.POST('/api/jobs/{id}/repairs', { ...onJob(jobId, requestId), body: repair })),
  )

export const useMakePermanent = (jobId: string) =>
  useBenchWrite(jobId, ({ requestId, repairId }: { requestId: string; repairId: string }) =>
    reply(client.POST('/api/repairs/{id}/make-permanent', { ...onJob(repairId, requestId), body: {} as never })),
  )

export const useNoteDisturbance = (jobId: string) =>
  useBenchWrite(jobId, ({ requestId, what }: { requestId: string; what: string }) =>
    reply(client.POST('/api/jobs/{id}/disturbances', { ...onJob(jobId, requestId), body: { id: requestId, what } })),
  )

export const usePutBack = (jobId: string) =>
  useBenchWrite(jobId, ({ requestId, disturbanceId }: { requestId: string; disturbanceId: string }) =>
    reply(client.POST('/api/disturbances/{id}/put-back', { ...onJob(disturbanceId, requestId), body: {} as never })),
  )

export const useCondemn = (jobId: string) =>
  useBenchWrite(
    jobId,
    ({
      requestId,
      ...body
    }: {
      requestId: string
      element: string
      position: string | null
      override_reason?: string
    }) =>
      reply(
        client.POST('/api/jobs/{id}/condemnations', { ...onJob(jobId, requestId), body: { ...body, id: requestId } }),
      ),
  )

export type Ending = 'close' | 'park' | 'reopen' | 'cancel'

export const useEndJob = (jobId: string) =>
  useBenchWrite(
    jobId,
    ({
      requestId,
      ending,
      lockVersion,
      reason,
    }: {
      requestId: string
      ending: Ending
      lockVersion: number
      reason: string
    }) =>
      reply(
        client.POST('/api/jobs/{id}/{ending}', {
          params: { path: { id: jobId, ending }, header: asRequest(requestId) },
          body: { lock_version: lockVersion, reason },
        }),
      ),
  )
