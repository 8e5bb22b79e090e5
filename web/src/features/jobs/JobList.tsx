import { useInfiniteQuery } from '@tanstack/react-query'
import { Link, useSearchParams } from 'react-router'
import { spokenAge, spokenDay } from '../../shared/quantities/when'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Waiting } from '../../shared/ui/Waiting'
import { jobs, type JobState } from '../../shared/api/jobs'
import { useTitle } from '../../shared/page/useTitle'

const STATES: JobState[] = ['open', 'parked', 'closed', 'cancelled']

/** Jobs by how far they got. */
export function JobList() {
  useTitle('Jobs')
  const [params, setParams] = useSearchParams()
  const state = STATES.find((one) => one === params.get('state')) ?? 'open'
  const { data, error, isPending, hasNextPage, isFetchingNextPage, fetchNextPage } = useInfiniteQuery(jobs(state))
  const rows = data?.pages.flatMap((page) => page.jobs) ?? []
  return (
    <div>
      <h1 className="text-display leading-tight">Jobs</h1>
      <nav aria-label="Job state" className="rule-below flex flex-wrap gap-6 pb-1">
        {STATES.map((one) => (
          <button
            key={one}
            type="button"
            aria-current={one === state ? 'true' : undefined}
            className={`min-h-12 text-lead ${one === state ? 'border-b-4 border-copper font-bold' : 'text-quiet'}`}
            onClick={() => {
              setParams({ state: one })
            }}
          >
            {one}
          </button>
        ))}
      </nav>
      {isPending && <Waiting what="the jobs" />}
      <ErrorNote error={error} />
      {data && rows.length === 0 && (
        <p className="py-6">No {state} jobs. To open one, find the unit and press “Open a job”.</p>
      )}
      <ul>
        {rows.map((job) => (
          <li key={job.id} className="rule-below">
            <Link
              to={`/jobs/${job.id}`}
              className="grid items-baseline gap-x-6 py-3 no-underline hover:bg-hair/40 desk:grid-cols-[4rem_16rem_1fr_auto]"
            >
              <span className="text-quiet">{job.number}</span>
              <span className="font-label text-lead font-bold link-words">{job.unit}</span>
              <span>
                {job.complaint}
                {job.parked_missing && <span className="block text-quiet">Missing: {job.parked_missing}</span>}
              </span>
              <span className="text-quiet">
                {job.ended_at
                  ? `ended ${spokenDay(job.ended_at, job.time_zone)}`
                  : `open ${spokenAge(job.opened_at, job.time_zone)}`}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      {hasNextPage && (
        <Button className="mt-4" disabled={isFetchingNextPage} onClick={() => void fetchNextPage()}>
          Show older jobs
        </Button>
      )}
    </div>
  )
}
