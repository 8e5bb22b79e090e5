import { useQuery } from '@tanstack/react-query'
import { stops as stopsQuery } from '../../../shared/api/stops'
import type { SheetTable } from '../../../shared/api/circuits'
import { Shown } from '../../../shared/page/Shown'
import { OneStop } from './OneStop'

/** For every way to stop the engine: what stops it, what will not, and how it was seen. */
export function StopsPanel({ sheet }: { sheet: SheetTable }) {
  const asked = useQuery(stopsQuery(sheet.id))
  return (
    <Shown asked={asked} what="its stops">
      {(data) => (
        <div className="flex flex-col gap-6">
          <header>
            <h2 className="text-reading leading-tight">Stopping the engine</h2>
            <p className="border-l-4 border-act pl-4 font-semibold">
              A stop is proved by seeing the engine stop: unloaded and idled down, the manual stop or air shut-off
              proved first and manned, never a hand over the intake.
            </p>
          </header>
          {data.stops.map((stop) => (
            <OneStop key={stop.device} sheet={sheet} stop={stop} />
          ))}
        </div>
      )}
    </Shown>
  )
}
