import { useState } from 'react'
import { withdrawFromRound, type Round, type RoundStep } from '../../shared/api/rounds'
import { glued } from '../../shared/quantities/glued'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { VerdictMark } from '../../shared/ui/VerdictMark'
import { useWrite } from '../../shared/writes/useWrite'
import { TextField } from '../../shared/ui/TextField'

type Reading = RoundStep['readings'][number]
const NO_REASON = { reason: '' }

function Withdraw({ data, reading }: { data: Round; reading: Reading }) {
  const [open, setOpen] = useState(false)
  const { value, change, write, error, isPending } = useWrite<typeof NO_REASON, Round>({
    name: `withdraw:${reading.id}`,
    empty: NO_REASON,
  })
  if (!open) {
    return (
      <Button
        look="quiet"
        onClick={() => {
          setOpen(true)
        }}
      >
        Withdraw it
      </Button>
    )
  }
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        void write(() => withdrawFromRound(data, reading.id, value.reason))
      }}
    >
      <div className="min-w-[min(12rem,100%)] flex-1">
        <TextField
          label="Why it is wrong"
          error={error?.fields.reason?.[0]}
          value={value.reason}
          onText={(text) => {
            change({ reason: text })
          }}
        />
      </div>
      <Button type="submit" disabled={isPending}>
        Withdraw
      </Button>
      <ErrorNote error={error?.fields.reason ? null : error} />
    </form>
  )
}

/** What a step came to, and why: what counts, what it was judged by, what to do instead. */
export function StepRead({ data, step, may }: { data: Round; step: RoundStep; may: boolean }) {
  return (
    <ul className="flex flex-col gap-4">
      {step.readings.map((reading) => (
        <li key={reading.id} className="flex flex-col gap-1 border-l-4 border-hair pl-4">
          <p className="flex flex-wrap items-baseline gap-x-3">
            <span className="text-reading font-semibold">{reading.spoken}</span>
            {reading.judged && <VerdictMark verdict={reading.judged.verdict} />}
            <span className="text-quiet">{reading.short}</span>
          </p>
          {reading.judged && <p>{reading.judged.summary}</p>}
          {reading.judged?.reasons.map((reason) => (
            <p key={reason} className="text-quiet">
              {reason}
            </p>
          ))}
          {reading.judged?.arithmetic.map((sum) => (
            <p key={sum} className="text-quiet">
              {glued(sum)}
            </p>
          ))}
          {reading.judged?.instead && <p className="font-semibold">{reading.judged.instead}</p>}
          {reading.sisters && (
            <p className={reading.sisters.far ? 'font-semibold' : 'text-quiet'}>
              {glued(reading.sisters.words)}
              {reading.sisters.far && ': it lies apart from them'}
            </p>
          )}
          <p className="text-quiet">{glued(reading.condition_line)}</p>
          {may && <Withdraw data={data} reading={reading} />}
        </li>
      ))}
    </ul>
  )
}
