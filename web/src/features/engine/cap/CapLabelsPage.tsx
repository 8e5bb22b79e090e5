import { useQuery } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { engine as engineQuery } from '../../../shared/api/engines'
import { Shown } from '../../../shared/page/Shown'
import { useTitle } from '../../../shared/page/useTitle'
import { Button } from '../../../shared/ui/Button'

/** Both ends of every lead: cut out, wrapped round. */
const ENDS = ['cap', 'plug'] as const

/** Labels for the leads of a cap: cylinder, hour of its tower, unit; one for each end. */
export function CapLabelsPage() {
  const { id = '' } = useParams()
  const asked = useQuery(engineQuery(id))
  useTitle(asked.data ? `Lead labels of ${asked.data.unit.number}` : '')
  return (
    <Shown asked={asked} what="the cap">
      {(engine) => (
        <div className="flex flex-col gap-5">
          <header className="flex flex-wrap items-end justify-between gap-4 print:hidden">
            <h1 className="text-display leading-tight">Lead labels, {engine.unit.number}</h1>
            <Button
              onClick={() => {
                window.print()
              }}
            >
              Print them
            </Button>
          </header>
          {engine.cap?.maps.length === 1 ? (
            <ul className="grid grid-cols-2 gap-3 desk:grid-cols-4 print:grid-cols-4">
              {engine.cap.maps[0]?.towers.flatMap((tower) =>
                ENDS.map((end) => (
                  <li key={`${tower.cylinder}${end}`} className="border border-dashed border-quiet p-3">
                    <span className="block text-reading leading-tight font-semibold">Cyl {tower.cylinder}</span>
                    <span className="block">
                      {end === 'cap' ? `tower at ${tower.hour} o’clock` : `to tower at ${tower.hour}`}
                    </span>
                    <span className="block text-quiet">
                      {engine.unit.number}, {end} end
                    </span>
                  </li>
                )),
              )}
            </ul>
          ) : (
            <p>Draw the cap first, with the direction of its rotor: a label that may be wrong is worse than none.</p>
          )}
        </div>
      )}
    </Shown>
  )
}
