import { Button } from '../../../shared/ui/Button'
import type { SheetWire } from '../../../shared/api/circuits'
import { spokenPin } from '../../../shared/drawing/names'
import { spokenAmpere } from '../spoken'

/** The wire list, with the current of the chosen key state. */
export function WireTable({
  wires,
  stateIndex,
  chosen,
  onWire,
}: {
  wires: SheetWire[]
  stateIndex: number
  chosen: string | null
  onWire: (number: string) => void
}) {
  return (
    <div className="overflow-x-auto">
      <table className="w-full border-collapse">
        <thead>
          <tr className="text-left text-quiet">
            <th className="pl-2 font-medium">Wire</th>
            <th className="font-medium">From and to</th>
            <th className="hidden font-medium desk:table-cell">Colour, size, length</th>
            <th className="pr-2 text-right font-medium">Current</th>
          </tr>
        </thead>
        <tbody>
          {wires.map((wire) => (
            <tr
              key={wire.number}
              className={`rule-above ${chosen === wire.number ? 'bg-hair/60' : ''}`}
              aria-current={chosen === wire.number ? 'true' : undefined}
            >
              <td className="pl-2">
                <Button
                  look="inline"
                  aria-label={`Wire ${wire.number}`}
                  onClick={() => {
                    onWire(wire.number)
                  }}
                >
                  {wire.number}
                </Button>
              </td>
              <td>
                {spokenPin(wire.from)} – {spokenPin(wire.to)}
              </td>
              <td className="hidden text-quiet desk:table-cell">
                {[wire.colour, wire.size, wire.length_m !== null && `${wire.length_m} m`].filter(Boolean).join(', ')}
              </td>
              <td className="pr-2 text-right font-semibold whitespace-nowrap">
                {spokenAmpere(wire.amperes[stateIndex] ?? null)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
