import { useQuery } from '@tanstack/react-query'
import { ErrorNote } from '../../../shared/ui/ErrorNote'
import { Field } from '../../../shared/ui/Field'
import { Waiting } from '../../../shared/ui/Waiting'
import { Button } from '../../../shared/ui/Button'
import { live, type SheetTable } from '../../../shared/api/circuits'
import { spokenPin } from '../../../shared/drawing/names'
import { spokenVolt } from '../spoken'
import type { Place } from '../useSheetPlace'

const OPENS = ['isolator', 'fuse', 'fusible link', 'switch', 'relay', 'connector']

/** What stays live with something open: hazards, and the readings to expect there. */
export function LivePanel({
  sheet,
  state,
  item,
  go,
}: {
  sheet: SheetTable
  state: string
  item: string | null
  go: (next: Partial<Place>) => void
}) {
  const openable = sheet.parts.filter((part) => OPENS.includes(part.kind))
  const { data, error, isPending } = useQuery(live(sheet.id, item, state))
  return (
    <div className="flex flex-col gap-4">
      <h2 className="text-reading leading-tight">What stays live</h2>
      <Field label="With this open" help="Open is not dead: each of these is a hazard until it is measured">
        {(wiring) => (
          <select
            {...wiring}
            value={item ?? ''}
            onChange={(event) => {
              go({ ask: 'live', open: event.target.value || null })
            }}
          >
            <option value="">Nothing, as the machine stands</option>
            {openable.map((part) => (
              <option key={part.id} value={part.id}>
                {part.id} {part.label}
              </option>
            ))}
          </select>
        )}
      </Field>
      {isPending && <Waiting what="the terminals" />}
      <ErrorNote error={error} />
      {data?.terminals.length === 0 && <p>Nothing is live then, in this key state.</p>}
      <ul>
        {data?.terminals.map((terminal) => (
          <li key={terminal.pin} className="rule-below grid grid-cols-[1fr_auto] items-center gap-x-4 py-1">
            <span>
              <Button
                look="inline"
                onClick={() => {
                  go({ pin: terminal.pin })
                }}
              >
                {spokenPin(terminal.pin)}
              </Button>{' '}
              {terminal.label}
              {terminal.by.length > 0 && <span className="block text-quiet">by {terminal.by.join(', ')}</span>}
            </span>
            <span className="text-lead font-semibold">{spokenVolt(terminal.volt)}</span>
          </li>
        ))}
      </ul>
    </div>
  )
}
