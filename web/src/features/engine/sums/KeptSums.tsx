import { useState } from 'react'
import { Link } from 'react-router'
import { strikeEntry, type Engine, type KeptSum } from '../../../shared/api/engines'
import { HERE, spokenTime } from '../../../shared/quantities/when'
import { useMay } from '../../../shared/session/session'
import { Button } from '../../../shared/ui/Button'
import { ErrorNote } from '../../../shared/ui/ErrorNote'
import { TextField } from '../../../shared/ui/TextField'
import { useWrite } from '../../../shared/writes/useWrite'

const UNSAID = { reason: '' }

function Strike({ sum }: { sum: KeptSum }) {
  const [open, setOpen] = useState(false)
  const { value, change, write, error, isPending } = useWrite<typeof UNSAID, Engine>({
    name: `strike:${sum.id}`,
    empty: UNSAID,
  })
  if (!open)
    return (
      <Button look="quiet" className="self-start" aria-label={`${sum.words}: not any more`} onClick={() => { setOpen(true) }}>
        Not any more
      </Button>
    ) // prettier-ignore
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void write(() => strikeEntry(sum, value.reason))
      }}
    >
      <TextField label="Why not" value={value.reason} onText={(reason) => { change({ reason }) }} />
      <Button type="submit" disabled={isPending || value.reason.trim() === ''}>Take it off</Button>
      <ErrorNote error={error} />
    </form>
  ) // prettier-ignore
}

/** Sums that are kept on this unit, worked out by the rules of now. */
export function KeptSums({ engine }: { engine: Engine }) {
  const may = useMay()('take_reading')
  return (
    <div className="flex max-w-4xl flex-col gap-4">
      {engine.sums.length === 0 && (
        <p>
          No figures are kept on it. Work one out for this unit: its tachometer, its tyres, its senders, its pre-heat.
        </p>
      )}
      <ul>
        {engine.sums.map((sum) => (
          <li key={sum.id} className="rule-below flex flex-col gap-1 py-3">
            <div className="flex flex-wrap items-baseline justify-between gap-x-6">
              <h2 className="font-semibold">
                <Link to={`/sums/${sum.sum}?unit=${engine.unit.id}`} state={{ kept: sum.id, typed: sum.typed }}>
                  {sum.words}
                </Link>
              </h2>
              <p className="text-quiet">
                {sum.person}, {spokenTime(sum.at, HERE)}
              </p>
            </div>
            <p className="text-reading leading-tight font-semibold">{sum.answer}</p>
            {sum.lines.map((line) => (
              <p key={line}>{line}</p>
            ))}
            {may && <Strike sum={sum} />}
          </li>
        ))}
      </ul>
      <Link
        to={`/sums/tachometer?unit=${engine.unit.id}`}
        className="min-h-12 content-center self-start font-label font-bold"
      >
        Work something out for {engine.unit.number}
      </Link>
    </div>
  )
}
