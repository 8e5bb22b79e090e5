import { useQuery } from '@tanstack/react-query'
import { Button } from '../../../shared/ui/Button'
import { wire as wireQuery, type SheetTable } from '../../../shared/api/circuits'
import { Facts } from '../own/Facts'
import { NetList } from './NetList'
import { Shown } from '../../../shared/page/Shown'

/** One wire traced, through plugs and splices to its ends. */
export function WirePanel({
  sheet,
  sheetId,
  number,
  sheetOf,
  onPin,
  onWire,
  onOpen,
}: {
  sheet: SheetTable
  sheetId: string
  number: string
  sheetOf: (key: string) => string | undefined
  onPin: (pin: string) => void
  onWire: (number: string) => void
  onOpen: (item: string) => void
}) {
  const asked = useQuery(wireQuery(sheetId, number))
  const uuid = sheet.wires.find((one) => one.number === number)?.uuid
  return (
    <Shown asked={asked} what={`wire ${number}`}>
      {(data) => {
        return (
          <div className="flex flex-col gap-5">
            <header className="flex flex-wrap items-end justify-between gap-4">
              <div>
                <h2 className="text-reading leading-tight">
                  Wire {data.number}{' '}
                  <span className="font-medium text-quiet">{[data.colour, data.size].filter(Boolean).join(', ')}</span>
                </h2>
                <p className="text-quiet">
                  Its net has {data.net.runs.length} {data.net.runs.length === 1 ? 'wire' : 'wires'},{' '}
                  {data.net.length_m.toFixed(1)} m.
                </p>
              </div>
              <Button
                onClick={() => {
                  onOpen(`wire ${number}`)
                }}
              >
                Open this
              </Button>
            </header>
            <NetList net={data.net} sheetOf={sheetOf} onWire={onWire} onPin={onPin} />
            {uuid !== undefined && sheet.joined.length === 0 && <Facts sheet={sheet} item={uuid} />}
          </div>
        )
      }}
    </Shown>
  )
}
