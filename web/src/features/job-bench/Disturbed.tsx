import type { JobBench } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { noteDisturbance, putBack } from '../../shared/api/jobs'
import { useBenchWrite } from './useBenchWrite'

const NOTHING = {}
const UNSAID = { what: '' }

function PutBack({ job, id, what }: { job: JobBench; id: string; what: string }) {
  const back = useBenchWrite(job.id, { name: `put-back:${id}`, empty: NOTHING })
  return (
    <>
      <Button
        disabled={back.isPending}
        aria-label={`${what}: put back`}
        onClick={() => {
          void back.write(() => putBack(job, id, what))
        }}
      >
        Put back
      </Button>
      <ErrorNote error={back.error} />
    </>
  )
}

/** What was taken off or opened on the way; all of it goes back before the job closes. */
export function Disturbed({ job, mayWork }: { job: JobBench; mayWork: boolean }) {
  const note = useBenchWrite(job.id, { name: 'disturbed', empty: UNSAID })
  const { what } = note.value
  if (job.disturbances.length === 0 && !mayWork) return null
  return (
    <section aria-labelledby="disturbed" id="disturbed-section">
      <h2 id="disturbed" className="rule-below pb-1 text-lead">
        Disturbed
      </h2>
      <ul>
        {job.disturbances.map((one) => (
          <li key={one.id} className="rule-below flex min-h-14 items-center justify-between gap-4">
            <span className={one.put_back_at ? 'text-quiet line-through' : ''}>{one.what}</span>
            {!one.put_back_at && mayWork && <PutBack job={job} id={one.id} what={one.what} />}
            {one.put_back_at && <span className="text-quiet">back</span>}
          </li>
        ))}
      </ul>
      {mayWork && (
        <form
          className="flex items-end gap-3 pt-2"
          onSubmit={(event) => {
            event.preventDefault()
            void note.write((id) => noteDisturbance(job, id, what))
          }}
        >
          <label className="flex-1">
            Taken off or opened
            <input
              value={what}
              onChange={(event) => {
                note.change({ what: event.target.value })
              }}
            />
          </label>
          <Button type="submit" disabled={note.isPending || what.trim() === ''}>
            Note it
          </Button>
        </form>
      )}
      <ErrorNote error={note.error} />
    </section>
  )
}
