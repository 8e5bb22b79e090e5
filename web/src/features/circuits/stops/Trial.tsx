import { useState } from 'react'
import type { SheetTable } from '../../../shared/api/circuits'
import { proveStop, type Stop, type Stops } from '../../../shared/api/stops'
import { HERE, spokenTime } from '../../../shared/quantities/when'
import { useMay } from '../../../shared/session/session'
import { Button } from '../../../shared/ui/Button'
import { ErrorNote } from '../../../shared/ui/ErrorNote'
import { TextField } from '../../../shared/ui/TextField'
import { VerdictMark } from '../../../shared/ui/VerdictMark'
import { useWrite } from '../../../shared/writes/useWrite'

type Way = Stop['asked'][number]
const UNSAID = { seconds: '' }

function Tell({ sheet, stop, way, onDone }: { sheet: SheetTable; stop: Stop; way: Way; onDone: () => void }) {
  const { value, change, write, error, isPending } = useWrite<typeof UNSAID, Stops>({
    name: `stop-proof:${sheet.id}:${stop.device}:${way.key}`,
    empty: UNSAID,
    onSaved: onDone,
    onWaiting: onDone,
  })
  const tell = (outcome: 'stopped' | 'ran_on') => {
    const seconds = value.seconds.trim() === '' ? null : Number(value.seconds.replace(',', '.'))
    void write((id) =>
      proveStop(sheet.id, { id, device: stop.device, asked: way.key, outcome, seconds }, `Stop tried: ${way.label}`),
    )
  }
  return (
    <div className="flex flex-col gap-3 py-2">
      <TextField
        label="Seconds until it stood, if counted"
        inputMode="decimal"
        value={value.seconds}
        error={error?.fields.seconds?.join(', ')}
        onText={(seconds) => {
          change({ seconds })
        }}
      />
      <div className="flex flex-wrap gap-3">
        <Button
          look="main"
          disabled={isPending}
          onClick={() => {
            tell('stopped')
          }}
        >
          Seen to stop
        </Button>
        <Button
          disabled={isPending}
          onClick={() => {
            tell('ran_on')
          }}
        >
          It ran on
        </Button>
      </div>
      <p className="text-quiet">One that ran on holds the unit until a lead lifts it.</p>
      <ErrorNote error={error} />
    </div>
  )
}

function outcome({ trial }: Way): string {
  if (!trial) return 'never seen'
  const seconds = trial.seconds === null ? '' : ` in ${trial.seconds} s`
  return `${trial.outcome === 'stopped' ? `stopped${seconds}` : 'ran on'}, ${trial.person ?? ''}, ${spokenTime(trial.at, HERE)}`
}

/** One way of asking: whether it stops the engine by the drawing, when it was last seen to, and the place to say so. */
export function Trial({ sheet, stop, way }: { sheet: SheetTable; stop: Stop; way: Way }) {
  const [open, setOpen] = useState(false)
  const may = useMay()('take_reading')
  const verdict = way.trial?.verdict ?? 'unproven'
  return (
    <li className="rule-below py-2">
      <div className="grid grid-cols-[1.5rem_1fr_auto] items-center gap-x-3">
        <VerdictMark verdict={verdict} word={false} />
        <p>
          <span className="font-semibold">{way.label}</span>
          <span className="block text-quiet">{outcome(way)}</span>
          {way.trial?.words && <span className="block font-semibold text-watch">{way.trial.words}</span>}
          {!way.stops && <span className="block font-semibold text-act">By its drawing this does not stop it.</span>}
        </p>
        {sheet.unit && may && !open && (
          <Button
            look="quiet"
            aria-label={`Tried: ${way.label}`}
            onClick={() => {
              setOpen(true)
            }}
          >
            Tried
          </Button>
        )}
      </div>
      {open && (
        <Tell
          {...{ sheet, stop, way }}
          onDone={() => {
            setOpen(false)
          }}
        />
      )}
    </li>
  )
}
