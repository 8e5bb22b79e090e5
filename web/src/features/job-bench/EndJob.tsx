import type { JobBench } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { VerdictMark } from '../../shared/ui/VerdictMark'
import { endJob, type Ending } from '../../shared/api/jobs'
import { useBenchWrite } from './useBenchWrite'

const NO_REASON = { reason: '' }

/** Close when nothing is missing; park with the missing point named; cancel with a reason; reopen. */
export function EndJob({ job }: { job: JobBench }) {
  const end = useBenchWrite(job.id, { name: 'ending', empty: NO_REASON })
  const { reason } = end.value
  const act = (ending: Ending) => {
    void end.write(() => endJob(job, ending, reason))
  }
  const open = job.state === 'open'
  return (
    <section aria-labelledby="end" className="flex flex-col gap-3">
      <h2 id="end" className="rule-below pb-1 text-lead">
        {open ? 'Close or park' : `This job is ${job.state}`}
      </h2>
      {open && job.missing_to_close.length > 0 && (
        <ul aria-label="Missing to close">
          {job.missing_to_close.map((point) => (
            <li key={point} className="grid grid-cols-[1.5rem_1fr] gap-x-3 py-1">
              <VerdictMark verdict="unproven" word={false} /> {point}
            </li>
          ))}
        </ul>
      )}
      <label>
        Reason, where one is needed
        <input
          value={reason}
          onChange={(event) => {
            end.change({ reason: event.target.value })
          }}
        />
      </label>
      <ErrorNote error={end.error} />
      <div className="flex flex-wrap gap-3">
        {open && (
          <>
            <Button
              look="main"
              disabled={job.missing_to_close.length > 0 || end.isPending}
              onClick={() => {
                act('close')
              }}
            >
              Close the job
            </Button>
            <Button
              onClick={() => {
                act('park')
              }}
            >
              Park it
            </Button>
            <Button
              onClick={() => {
                act('cancel')
              }}
            >
              Cancel it
            </Button>
          </>
        )}
        {!open && (
          <Button
            look="main"
            onClick={() => {
              act('reopen')
            }}
          >
            Reopen it
          </Button>
        )}
        <a href={`/api/jobs/${job.id}/page.pdf`} download className="inline-flex min-h-12 items-center font-label">
          Print this job
        </a>
        <a href={`/api/jobs/${job.id}/export`} download className="inline-flex min-h-12 items-center font-label">
          The job as JSON
        </a>
      </div>
    </section>
  )
}
