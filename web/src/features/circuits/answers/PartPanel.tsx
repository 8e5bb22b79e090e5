import { Button } from '../../../shared/ui/Button'
import type { SheetPart, SheetTable } from '../../../shared/api/circuits'
import { Facts } from '../own/Facts'
import { spokenPin } from '../../../shared/drawing/names'
import { spokenVolt } from '../spoken'

/** One component: its pins with what each is at now, and what may be asked of it. */
export function PartPanel({
  sheet,
  part,
  stateIndex,
  onPin,
  onOpen,
}: {
  sheet: SheetTable
  part: SheetPart
  stateIndex: number
  onPin: (pin: string) => void
  onOpen: (item: string) => void
}) {
  return (
    <div className="flex flex-col gap-4">
      <header>
        <h2 className="text-reading leading-tight">
          {part.id} {part.label !== part.id && <span className="font-medium text-quiet">{part.label}</span>}
        </h2>
        <p className="text-quiet">{part.kind}</p>
        {part.note && sheet.joined.length > 0 && <p>{part.note}</p>}
      </header>
      <ul>
        {part.pins.map((pin) => (
          <li key={pin.node} className="rule-below grid grid-cols-[1fr_auto] items-center gap-x-4 py-1">
            <span>
              <Button
                look="inline"
                onClick={() => {
                  onPin(pin.node)
                }}
              >
                {spokenPin(pin.node)}
              </Button>{' '}
              <span className="text-quiet">{pin.wires.length > 0 && `wire ${pin.wires.join(', ')}`}</span>
            </span>
            <span className="text-lead font-semibold">{spokenVolt(pin.volts[stateIndex] ?? null)}</span>
          </li>
        ))}
      </ul>
      <Button
        onClick={() => {
          onOpen(part.id)
        }}
      >
        Open this: what falls dead with it?
      </Button>
      {sheet.joined.length === 0 && <Facts sheet={sheet} item={part.uuid} />}
    </div>
  )
}
