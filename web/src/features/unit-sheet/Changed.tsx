import { sayChange, type UnitStart } from '../../shared/api/tonight'
import type { UnitSheet } from '../../shared/api/types'
import { spokenDate } from '../../shared/quantities/when'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Segments } from '../../shared/ui/Segments'
import { TextField } from '../../shared/ui/TextField'
import { useWrite } from '../../shared/writes/useWrite'

type Kind = 'oil' | 'heater'
const KINDS: readonly { key: Kind; label: string }[] = [
  { key: 'oil', label: 'Oil changed' },
  { key: 'heater', label: 'Heater fitted or mended' },
]
const UNSAID: { kind: Kind; on: string } = { kind: 'oil', on: '' }

/** What was done that no job records: from that day on older mornings say less of it. */
export function Changed({ sheet, start }: { sheet: UnitSheet; start: UnitStart }) {
  const saying = useWrite<typeof UNSAID, UnitStart>({ name: `start-change:${sheet.id}`, empty: UNSAID })
  const { value, change } = saying
  return (
    <details>
      <summary className="min-h-12 py-3 font-label font-bold dense:min-h-9 dense:py-2">
        Oil or heater changed
        {start.changes[0] && (
          <span className="font-normal text-quiet">
            : {start.changes[0].words} on {spokenDate(start.changes[0].on)}
          </span>
        )}
      </summary>
      <form
        className="flex flex-wrap items-end gap-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          void saying.write((id) => sayChange(sheet, { id, kind: value.kind, on: value.on || start.today }))
        }}
      >
        <Segments
          label="What was done"
          options={KINDS}
          chosen={value.kind}
          onChoose={(kind) => {
            change({ ...value, kind })
          }}
        />
        <TextField
          label="On"
          help="Empty: today"
          error={saying.error?.fields.on?.[0]}
          type="date"
          value={value.on}
          onText={(on) => {
            change({ ...value, on })
          }}
        />
        <Button type="submit" disabled={saying.isPending}>
          Count from there
        </Button>
        <ErrorNote error={saying.error} />
      </form>
    </details>
  )
}
