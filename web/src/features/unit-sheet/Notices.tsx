import { useState } from 'react'
import { endNotice, notice, type Notice } from '../../shared/api/units'
import type { UnitSheet } from '../../shared/api/types'
import { spokenDate, spokenDay } from '../../shared/quantities/when'
import { useMay } from '../../shared/session/session'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Segments } from '../../shared/ui/Segments'
import { VerdictMark } from '../../shared/ui/VerdictMark'
import { useWrite } from '../../shared/writes/useWrite'
import { TextField } from '../../shared/ui/TextField'

type Severity = Notice['severity']

const SEVERITIES: { key: Severity; label: string }[] = [
  { key: 'later', label: 'Next visit' },
  { key: 'soon', label: 'Soon' },
  { key: 'watch', label: 'Watch it' },
  { key: 'holds', label: 'Holds the unit' },
]
const WORDS: Record<Severity, string> = {
  later: 'for the next visit',
  soon: 'soon',
  watch: 'watched',
  holds: 'holds the unit',
}
const UNSAID = { reason: '' }

function One({ unit, one }: { unit: UnitSheet; one: Notice }) {
  const may = useMay()
  const [open, setOpen] = useState(false)
  const ending = useWrite<typeof UNSAID, UnitSheet>({ name: `notice-end:${one.id}`, empty: UNSAID })
  const mayEnd = may(one.severity === 'holds' ? 'lift_hold' : 'work_on_job')
  return (
    <li className="rule-below py-2">
      <div className="flex items-baseline gap-3">
        <VerdictMark verdict={one.severity === 'holds' ? 'act' : 'watch'} word={false} />
        <p className="flex-1">
          <span className="font-semibold">{one.what}</span>
          {one.place && `, ${one.place}`}
          <span className="block text-quiet">
            {one.suspects && `Suspected: ${one.suspects}. `}
            {WORDS[one.severity]}, {spokenDay(one.noticed_at, unit.time_zone)}
            {one.until && ` until ${spokenDate(one.until)}`}
          </span>
        </p>
        {mayEnd && !open && (
          <Button
            look="quiet"
            onClick={() => {
              setOpen(true)
            }}
          >
            Dealt with
          </Button>
        )}
      </div>
      {open && (
        <form
          className="flex flex-col gap-3 pt-2"
          noValidate
          onSubmit={(event) => {
            event.preventDefault()
            void ending.write(() => endNotice(unit, one, ending.value.reason))
          }}
        >
          <TextField
            label="What was done about it"
            error={ending.error?.fields.reason?.[0]}
            value={ending.value.reason}
            onText={(text) => {
              ending.change({ reason: text })
            }}
          />
          <Button type="submit" className="self-start" disabled={ending.isPending}>
            It is dealt with
          </Button>
          <ErrorNote error={ending.error} />
        </form>
      )}
    </li>
  )
}

const EMPTY: { what: string; place: string; severity: Severity; suspects: string; until: string } = {
  what: '',
  place: '',
  severity: 'later',
  suspects: '',
  until: '',
}

function NewNotice({ unit, onDone }: { unit: UnitSheet; onDone: () => void }) {
  const noticing = useWrite<typeof EMPTY, UnitSheet>({
    name: `notice:${unit.id}`,
    empty: EMPTY,
    onSaved: onDone,
    onWaiting: onDone,
  })
  const { value } = noticing
  const fields = noticing.error?.fields ?? {}
  return (
    <form
      className="flex flex-col gap-3 pt-2"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        const { suspects, until, ...seen } = value
        const watched = value.severity === 'watch' ? { suspects, until: until || null } : {}
        void noticing.write((id) => notice(unit, { id, ...seen, ...watched }))
      }}
    >
      <TextField
        label="What was seen"
        help="Chewed cable, worn insulation, a leak"
        error={fields.what?.[0]}
        value={value.what}
        onText={(text) => {
          noticing.change({ ...value, what: text })
        }}
      />
      <TextField
        label="Where"
        error={fields.place?.[0]}
        value={value.place}
        onText={(text) => {
          noticing.change({ ...value, place: text })
        }}
      />
      <Segments
        label="How bad"
        options={SEVERITIES}
        chosen={value.severity}
        onChoose={(severity) => {
          noticing.change({ ...value, severity })
        }}
      />
      {value.severity === 'watch' && (
        <>
          <TextField
            label="Who is suspected"
            help="What it may be, the likeliest first"
            error={fields.suspects?.[0]}
            value={value.suspects}
            onText={(text) => {
              noticing.change({ ...value, suspects: text })
            }}
          />
          <TextField
            label="Watched until"
            help="On that day somebody decides"
            error={fields.until?.[0]}
            type="date"
            value={value.until}
            onText={(text) => {
              noticing.change({ ...value, until: text })
            }}
          />
        </>
      )}
      {value.severity === 'holds' && (
        <p className="border-l-4 border-act pl-4">
          A fire risk holds the unit: it does not go out until a lead lifts it.
        </p>
      )}
      <ErrorNote error={noticing.error} />
      <Button type="submit" look="main" className="self-start" disabled={noticing.isPending}>
        Note it
      </Button>
    </form>
  )
}

/** What was seen on the way and not mended; what holds the unit first. */
export function Notices({ sheet }: { sheet: UnitSheet }) {
  const may = useMay()('report_fault') && !sheet.retired
  const [noting, setNoting] = useState(false)
  return (
    <section aria-labelledby="noticed">
      <h2 id="noticed" className="rule-below pb-1 text-lead">
        Noticed, not mended
      </h2>
      <ul>
        {sheet.notices.map((one) => (
          <One key={one.id} unit={sheet} one={one} />
        ))}
      </ul>
      {may && !noting && (
        <Button
          look="quiet"
          onClick={() => {
            setNoting(true)
          }}
        >
          Note something seen
        </Button>
      )}
      {noting && (
        <NewNotice
          unit={sheet}
          onDone={() => {
            setNoting(false)
          }}
        />
      )}
    </section>
  )
}
