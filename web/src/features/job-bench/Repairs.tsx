import type { JobBench, Reading, Repair } from '../../shared/api/types'
import { spokenDate } from '../../shared/quantities/when'
import { Button } from '../../shared/ui/Button'
import { VerdictMark } from '../../shared/ui/VerdictMark'
import { makePermanent } from '../../shared/api/jobs'
import type { PadTarget } from '../../shared/pad/pad'
import { useBenchWrite } from './useBenchWrite'

const PROOF = { proved: 'sound', failed: 'act', void: 'unproven', missing: 'unproven', unnamed: 'unproven' } as const
const PROOF_WORDS = {
  proved: 'proved by the reading that failed',
  failed: 'still failing',
  void: 'repeated, proves nothing',
  missing: 'proof owed',
  unnamed: 'no failing reading named',
}

const NOTHING = {}

type Undo = ((target: PadTarget) => void) | undefined

function Side({ title, reading }: { title: string; reading: Reading | undefined }) {
  return (
    <div>
      <p className="font-label text-quiet">{title}</p>
      {reading ? (
        <p className="flex items-center gap-2">
          {reading.judged && <VerdictMark verdict={reading.judged.verdict} word={false} />}
          <span className="text-reading font-semibold">{reading.spoken}</span>
        </p>
      ) : (
        <p className="text-reading text-quiet">—</p>
      )}
    </div>
  )
}

function OneRepair({
  job,
  repair,
  mayWork,
  onUndo,
}: {
  job: JobBench
  repair: Repair
  mayWork: boolean
  onUndo: Undo
}) {
  const { undo } = repair.proof
  const permanent = useBenchWrite(job.id, { name: `permanent:${repair.id}`, empty: NOTHING })
  const byId = (id: string | null) => job.readings.find((reading) => reading.id === id)
  const before = byId(repair.proof.before_id)
  return (
    <li className="rule-below py-3">
      <p className="font-label text-lead font-bold">
        {repair.element_label}
        {repair.position && ` ${repair.position}`}
      </p>
      <p className="text-quiet">
        {repair.action}, {repair.cause.replace('_', ' ')}, {repair.minutes} min
        {repair.parts && `, ${repair.parts}`}
        {repair.person && `, ${repair.person}`}
      </p>
      <div className="grid grid-cols-2 gap-4 py-2">
        <Side title={before ? `Before: ${before.short}` : 'Before'} reading={before} />
        <Side title="After" reading={byId(repair.proof.after_id)} />
      </div>
      <p className="flex items-center gap-2">
        <VerdictMark verdict={PROOF[repair.proof.state]} word={false} /> {PROOF_WORDS[repair.proof.state]}
      </p>
      {repair.proof.cause_words && <p>{repair.proof.cause_words}.</p>}
      {undo && onUndo && (
        <Button
          look="quiet"
          onClick={() => {
            onUndo({
              testKey: undo.test_key,
              position: undo.position,
              undone: true,
              ...(undo.probe && { probe: undo.probe }),
            })
          }}
        >
          Surer still: undo it and read
        </Button>
      )}
      {repair.temporary && !repair.made_permanent_at && (
        <div className="flex flex-wrap items-center justify-between gap-3">
          <p className="font-semibold">
            Temporary until {repair.temporary_until && spokenDate(repair.temporary_until)}: {repair.temporary_reason}
          </p>
          {mayWork && (
            <Button
              onClick={() => {
                void permanent.write(() => makePermanent(job, repair.id, repair.element_label))
              }}
            >
              It is permanent now
            </Button>
          )}
        </div>
      )}
    </li>
  )
}

/** What was done, before and after side by side. */
export function Repairs({
  job,
  mayWork,
  onRecord,
  onUndo,
}: {
  job: JobBench
  mayWork: boolean
  onRecord: () => void
  onUndo: Undo
}) {
  return (
    <section aria-labelledby="repairs">
      <div className="rule-below flex items-center justify-between pb-1">
        <h2 id="repairs" className="text-lead">
          Repairs
        </h2>
        {mayWork && job.state === 'open' && (
          <Button look="quiet" onClick={onRecord}>
            Record a repair
          </Button>
        )}
      </div>
      {job.repairs.length === 0 && (
        <p className="py-2 text-quiet">None yet. Prove the cause before a part is bought.</p>
      )}
      <ul>
        {job.repairs.map((repair) => (
          <OneRepair key={repair.id} job={job} repair={repair} mayWork={mayWork} onUndo={onUndo} />
        ))}
      </ul>
    </section>
  )
}
