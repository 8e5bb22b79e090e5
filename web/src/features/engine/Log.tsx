import { useState } from 'react'
import { strikeEntry, type Engine, type EngineLine } from '../../shared/api/engines'
import { HERE, spokenTime } from '../../shared/quantities/when'
import { useMay } from '../../shared/session/session'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { TextField } from '../../shared/ui/TextField'
import { useWrite } from '../../shared/writes/useWrite'

const UNSAID = { reason: '' }

function Strike({ line, onDone }: { line: EngineLine; onDone: () => void }) {
  const { value, change, write, error, isPending } = useWrite<typeof UNSAID, Engine>({
    name: `strike:${line.id}`,
    empty: UNSAID,
    onSaved: onDone,
    onWaiting: onDone,
  })
  return (
    <form
      className="flex flex-col gap-2 py-2"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void write(() => strikeEntry(line, value.reason))
      }}
    >
      <TextField
        label="Why it does not count"
        value={value.reason}
        error={error?.fields.reason?.[0]}
        onText={(reason) => {
          change({ reason })
        }}
      />
      <Button type="submit" className="self-start" disabled={isPending || value.reason.trim() === ''}>
        Strike it out
      </Button>
      <ErrorNote error={error} />
    </form>
  )
}

function Line({ line, mayStrike }: { line: EngineLine; mayStrike: boolean }) {
  const [open, setOpen] = useState(false)
  return (
    <li className="rule-below py-1">
      <div className="flex items-baseline justify-between gap-3">
        <p>
          {line.words}
          <span className="block text-quiet">
            {line.person}, {spokenTime(line.at, HERE)}
          </span>
        </p>
        {mayStrike && !open && (
          <Button
            look="quiet"
            aria-label={`Slip: ${line.words}`}
            onClick={() => {
              setOpen(true)
            }}
          >
            Slip
          </Button>
        )}
      </div>
      {open && (
        <Strike
          line={line}
          onDone={() => {
            setOpen(false)
          }}
        />
      )}
    </li>
  )
}

/** What was done and seen, the last first; a slip is struck out with a word, never changed. */
export function Log({ lines }: { lines: EngineLine[] }) {
  const may = useMay()('take_reading')
  if (lines.length === 0) return null
  return (
    <section aria-labelledby="engine-log">
      <h3 id="engine-log" className="rule-below pb-1 text-lead">
        Done and seen
      </h3>
      <ol>
        {[...lines].reverse().map((line) => (
          <Line key={line.id} line={line} mayStrike={may} />
        ))}
      </ol>
    </section>
  )
}
