import { useQuery } from '@tanstack/react-query'
import { useId, useState } from 'react'
import type { JobBench, Reading, SisterUnits } from '../../shared/api/types'
import { glued } from '../../shared/quantities/glued'
import { spokenTime } from '../../shared/quantities/when'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { VerdictMark } from '../../shared/ui/VerdictMark'
import { WeightTicks } from '../../shared/ui/WeightTicks'
import { useBenchWrite } from './useBenchWrite'
import { jobSisters, withdrawReading } from '../../shared/api/jobs'
import { leftBy } from './path'
import { Why } from './Why'

const NO_REASON = { reason: '' }

function Withdraw({ job, reading }: { job: JobBench; reading: Reading }) {
  const withdraw = useBenchWrite(job.id, { name: `withdrawal:${reading.id}`, empty: NO_REASON })
  const { reason } = withdraw.value
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        void withdraw.write(() => withdrawReading(job, reading.id, reason, reading.short))
      }}
    >
      <label className="min-w-[min(12rem,100%)] flex-1">
        Why it does not count
        <input
          value={reason}
          onChange={(event) => {
            withdraw.change({ reason: event.target.value })
          }}
        />
      </label>
      <Button type="submit" disabled={withdraw.isPending}>
        Withdraw it
      </Button>
      <ErrorNote error={withdraw.error} />
    </form>
  )
}

function Row({
  job,
  reading,
  sisters,
  onCorrect,
}: {
  job: JobBench
  reading: Reading
  sisters: SisterUnits | undefined
  onCorrect: ((reading: Reading) => void) | undefined
}) {
  const [open, setOpen] = useState(false)
  const id = useId()
  const judged = reading.judged
  // What it did to the suspects says more than what it does not prove.
  const left = leftBy(reading.id, job.suspects)
  // What was read before a repair is not taken again.
  const asksStill = reading.round >= job.repairs.length
  const gone = reading.fate !== null
  return (
    <li className={`rule-below grid grid-cols-[1.5rem_1fr] gap-x-3 py-3 ${gone ? 'text-quiet' : ''}`}>
      <span className="pt-1.5">{judged && <VerdictMark verdict={judged.verdict} word={false} />}</span>
      <div>
        <div className="flex flex-wrap items-baseline justify-between gap-x-4">
          <span className={`text-reading leading-tight font-semibold ${gone ? 'line-through' : ''}`}>
            {reading.spoken}
          </span>
          <span className="font-label font-medium">
            {reading.short}
            {reading.position && ` ${reading.position}`}
          </span>
        </div>
        <p className="text-quiet">
          {glued(reading.condition_line)}, {spokenTime(reading.taken_at, job.unit.time_zone)}
        </p>
        {gone && <p className="font-semibold">{reading.fate}</p>}
        {judged && (
          <>
            <p>
              <strong className="font-semibold">{judged.verdict}</strong>
              {judged.validity !== 'valid' && ` (${judged.validity})`}: {glued(judged.summary)}
            </p>
            {sisters && !gone && (
              <p className={sisters.far ? 'font-semibold' : 'text-quiet'}>
                {glued(sisters.words)}
                {sisters.far && ': it lies apart from them'}
              </p>
            )}
            {left ? (
              <p className="font-semibold">{glued(left)}.</p>
            ) : (
              judged.instead && asksStill && <p className="font-semibold">{glued(judged.instead)}.</p>
            )}
            <div className="flex items-center justify-between gap-4">
              <WeightTicks weight={judged.weight} />
              <Button
                look="quiet"
                className="min-w-12 justify-end dense:min-h-8"
                aria-expanded={open}
                aria-controls={id}
                aria-label={`Why ${reading.short} ${reading.spoken} is ${judged.verdict}`}
                onClick={() => {
                  setOpen(!open)
                }}
              >
                {open ? 'less' : 'why'}
              </Button>
            </div>
          </>
        )}
        {open && (
          <div id={id}>
            <Why reading={reading} suspects={job.suspects} />
            {onCorrect && !gone && (
              <div className="flex flex-col gap-3 pt-2">
                <Button
                  className="self-start"
                  onClick={() => {
                    onCorrect(reading)
                  }}
                >
                  Correct it
                </Button>
                <Withdraw job={job} reading={reading} />
              </div>
            )}
          </div>
        )}
      </div>
    </li>
  )
}

/** What is known, newest first; the marks in the gutter read downwards. */
export function Evidence({ job, onCorrect }: { job: JobBench; onCorrect: ((reading: Reading) => void) | undefined }) {
  const { data } = useQuery(
    jobSisters(
      job.id,
      job.readings.map((reading) => reading.id),
    ),
  )
  return (
    <section aria-labelledby="evidence">
      <h2 id="evidence" className="rule-below pb-1 text-lead">
        What we know <span className="text-quiet">{job.readings.length}</span>
      </h2>
      {job.readings.length === 0 && (
        <p className="py-4">No reading yet. The next step says which one comes first, and why.</p>
      )}
      <ol>
        {[...job.readings].reverse().map((reading) => (
          <Row key={reading.id} job={job} reading={reading} sisters={data?.sisters[reading.id]} onCorrect={onCorrect} />
        ))}
      </ol>
    </section>
  )
}
