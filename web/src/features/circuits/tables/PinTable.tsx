import { Button } from '../../../shared/ui/Button'
import type { SheetPart, SheetTable } from '../../../shared/api/circuits'
import { spokenVolt } from '../spoken'

function PartRows({
  part,
  stateIndex,
  chosen,
  onPin,
  onWire,
  onOpen,
}: {
  part: SheetPart
  stateIndex: number
  chosen: string | null
  onPin: (pin: string) => void
  onWire: (number: string) => void
  onOpen: (item: string) => void
}) {
  return (
    <tbody>
      <tr>
        <th colSpan={3} scope="rowgroup" className="pt-4 pb-1 text-left">
          <span className="flex items-baseline justify-between gap-4">
            <span>
              <span className="text-lead">{part.id}</span>{' '}
              <span className="font-medium">{part.label !== part.id && part.label}</span>{' '}
              <span className="font-medium text-quiet">{part.kind}</span>
            </span>
            <Button
              look="inline"
              className="flex-none"
              aria-label={`open this: ${part.id}`}
              onClick={() => {
                onOpen(part.id)
              }}
            >
              open this
            </Button>
          </span>
        </th>
      </tr>
      {part.pins.map((pin) => (
        <tr
          key={pin.node}
          className={`rule-above ${chosen === pin.node ? 'bg-hair/60' : ''}`}
          aria-current={chosen === pin.node ? 'true' : undefined}
        >
          <td className="w-28 pl-2">
            <Button
              look="inline"
              className="w-full justify-start"
              aria-label={`Pin ${pin.node}`}
              onClick={() => {
                onPin(pin.node)
              }}
            >
              {pin.name}
            </Button>
          </td>
          <td>
            {pin.wires.map((number) => (
              <button
                key={number}
                type="button"
                className="mr-3 min-h-12 text-left dense:min-h-8"
                aria-label={`Wire ${number}`}
                onClick={() => {
                  onWire(number)
                }}
              >
                {number}
              </button>
            ))}
          </td>
          <td className="pr-2 text-right text-lead whitespace-nowrap">
            <span className={pin.volts[stateIndex] === null ? 'text-base text-quiet' : 'font-semibold'}>
              {spokenVolt(pin.volts[stateIndex] ?? null)}
            </span>
          </td>
        </tr>
      ))}
    </tbody>
  )
}

/** The sheet as a table: component by component, pin by pin, with the volts of the chosen key state. */
export function PinTable({
  sheet,
  parts,
  stateIndex,
  chosen,
  onPin,
  onWire,
  onOpen,
}: {
  sheet: SheetTable
  parts: SheetPart[]
  stateIndex: number
  chosen: string | null
  onPin: (pin: string) => void
  onWire: (number: string) => void
  onOpen: (item: string) => void
}) {
  return (
    <div className="overflow-x-auto">
      <table className="w-full border-collapse">
        <caption className="sr-only">
          {sheet.title}, {sheet.states[stateIndex]?.label}
        </caption>
        <thead>
          <tr className="text-left text-quiet">
            <th className="pl-2 font-medium">Pin</th>
            <th className="font-medium">Wires</th>
            <th className="pr-2 text-right font-medium">{sheet.states[stateIndex]?.label}</th>
          </tr>
        </thead>
        {parts.map((part) => (
          <PartRows
            key={part.id}
            part={part}
            stateIndex={stateIndex}
            chosen={chosen}
            onPin={onPin}
            onWire={onWire}
            onOpen={onOpen}
          />
        ))}
      </table>
    </div>
  )
}
