import type { JobBench, Ladder } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { VerdictMark } from '../../shared/ui/VerdictMark'
import { condemn } from '../../shared/api/jobs'
import { useBenchWrite } from './useBenchWrite'

const MARK = { done: 'sound', failed: 'act', open: 'unproven' } as const
const WORD = { done: 'done', failed: 'fault lies here', open: 'open' } as const

const NO_REASON = { reason: '' }

function Override({ job, ladder }: { job: JobBench; ladder: Ladder }) {
  const { suspect, position } = ladder
  const part = job.symptom.along_paths ? { unit: suspect } : { element: suspect }
  const override = useBenchWrite(job.id, { name: `override:${suspect}:${position ?? ''}`, empty: NO_REASON })
  const { reason } = override.value
  return (
    <form
      className="flex flex-wrap items-end gap-3 pt-2"
      onSubmit={(event) => {
        event.preventDefault()
        void override.write((id) => condemn(job, { id, ...part, position, override_reason: reason }, ladder.label))
      }}
    >
      <label className="min-w-[min(12rem,100%)] flex-1">
        Lead: condemn without full proof, because
        <input
          value={reason}
          onChange={(event) => {
            override.change({ reason: event.target.value })
          }}
        />
      </label>
      <Button type="submit" disabled={override.isPending || reason.trim() === ''}>
        Override
      </Button>
      <ErrorNote error={override.error} />
    </form>
  )
}

function OneLadder({ job, ladder, mayOverride }: { job: JobBench; ladder: Ladder; mayOverride: boolean }) {
  const condemned = job.condemnations.find(
    (one) => one.position === ladder.position && (ladder.position !== null || one.element_label === ladder.label),
  )
  return (
    <details className="rule-below py-2" open={ladder.complete}>
      <summary className="flex min-h-12 cursor-pointer items-center justify-between gap-4">
        <span className="font-label font-bold">{ladder.label}</span>
        <span className="text-quiet">
          {ladder.rungs.filter((rung) => rung.state === 'done').length} of {ladder.rungs.length}
        </span>
      </summary>
      <ol>
        {ladder.rungs.map((rung) => (
          <li key={rung.key} className="grid grid-cols-[1.5rem_1fr] gap-x-3 py-1">
            <VerdictMark verdict={MARK[rung.state]} word={false} />
            <span>
              {rung.label}
              <span className="block text-quiet">
                {WORD[rung.state]}: {rung.reason}
              </span>
            </span>
          </li>
        ))}
      </ol>
      {condemned ? (
        <p className="py-1 font-semibold">
          Condemned by {condemned.person}
          {condemned.override_reason && `, overriding the ladder: ${condemned.override_reason}`}
        </p>
      ) : (
        <p className="py-1 font-semibold">
          {ladder.complete
            ? 'Complete: it may be condemned.'
            : `Not to be condemned yet: ${(ladder.missing ?? '').toLowerCase()}.`}
        </p>
      )}
      {!ladder.complete && !condemned && mayOverride && <Override job={job} ladder={ladder} />}
    </details>
  )
}

/** What must be known before a part is condemned; the ladders fill themselves. */
export function Ladders({ job, mayOverride }: { job: JobBench; mayOverride: boolean }) {
  const shown = job.ladders.filter(
    (ladder) => ladder.started && (ladder.suspect !== 'alternator' || job.symptom.work === 'charging'),
  )
  if (shown.length === 0) return null
  return (
    <section aria-labelledby="ladders">
      <h2 id="ladders" className="rule-below pb-1 text-lead">
        Proof ladders
      </h2>
      {shown.map((ladder) => (
        <OneLadder key={ladder.label} job={job} ladder={ladder} mayOverride={mayOverride} />
      ))}
    </section>
  )
}
