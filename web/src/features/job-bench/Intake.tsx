import type { JobBench } from '../../shared/api/types'
import { spokenTime } from '../../shared/quantities/when'

/** Complaint, what was seen, what was tried before: kept apart. */
export function Intake({ job }: { job: JobBench }) {
  const seen = [...job.lamps, job.seen].filter((text) => text !== '').join('. ')
  return (
    <dl className="grid gap-x-4 gap-y-1 desk:grid-cols-[6rem_1fr]">
      <dt className="font-label text-quiet">Driver</dt>
      <dd>
        <span className="text-lead">“{job.complaint}”</span>{' '}
        <span className="text-quiet">
          {job.opened_by}, {spokenTime(job.opened_at, job.unit.time_zone)}
        </span>
        {(job.symptom.along_paths || job.symptom.seen !== 'dead') && <span className="block">{job.symptom.words}</span>}
      </dd>
      {seen && (
        <>
          <dt className="font-label text-quiet">Seen</dt>
          <dd>{seen}</dd>
        </>
      )}
      {job.attempts.map((attempt) => (
        <div key={attempt.id} className="contents">
          <dt className="font-label text-quiet">Tried</dt>
          <dd>
            {attempt.what}
            {attempt.by_whom && `, ${attempt.by_whom}`}
            {attempt.fitted_without_diagnosis && <strong className="font-semibold">, fitted without diagnosis</strong>}
          </dd>
        </div>
      ))}
      {job.bank_remarks.map((line) => (
        <div key={line} className="contents">
          <dt className="font-label text-quiet">Bank</dt>
          <dd>{line}</dd>
        </div>
      ))}
      {job.reads_as.map((line) => (
        <div key={line} className="contents">
          <dt className="font-label text-quiet">Reads as</dt>
          <dd>{line}</dd>
        </div>
      ))}
    </dl>
  )
}
