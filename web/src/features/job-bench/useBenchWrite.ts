import { useQueryClient } from '@tanstack/react-query'
import { bench } from '../../shared/api/jobs'
import type { JobBench } from '../../shared/api/types'
import { useFormWrite } from '../../shared/writes/useFormWrite'
import { useWrite } from '../../shared/writes/useWrite'

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
