import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { useMay } from '../../shared/session/session'
import { Button } from '../../shared/ui/Button'
import { Sheet } from '../../shared/ui/Sheet'
import { library, type SheetLine } from '../../shared/api/circuits'
import { BringInSheet } from './BringInSheet'
import { FitSheet } from './FitSheet'
import { Shown } from '../../shared/page/Shown'
import { useTitle } from '../../shared/page/useTitle'

/** All sheets of a unit as one circuit: its id is the unit's. */
function WholeUnit({ id }: { id: string }) {
  return (
    <li>
      <Link
        to={`/circuits/${id}`}
        className="flex min-h-12 items-center justify-between gap-4 no-underline hover:bg-hair/40 dense:min-h-9"
      >
        <span className="link-words font-semibold">The whole unit</span>
        <span className="flex-none text-quiet">one circuit</span>
      </Link>
    </li>
  )
}

function SheetLink({ line }: { line: SheetLine }) {
  return (
    <li>
      <Link
        to={`/circuits/${line.id}`}
        className="flex min-h-12 items-center justify-between gap-4 no-underline hover:bg-hair/40 dense:min-h-9"
      >
        <span className="link-words">{line.title}</span>
        <span className="flex-none text-quiet">
          {line.system_volt} V{line.n > 1 && `, version ${line.n}`}
          {line.overridden > 0 && `, ${line.overridden} of its own`}
        </span>
      </Link>
    </li>
  )
}

/** All circuit sheets: by unit, and the library they come from. */
export function CircuitsPage() {
  const asked = useQuery(library())
  useTitle('Circuits')
  const may = useMay()('edit_circuits')
  const [bringing, setBringing] = useState(false)
  return (
    <Shown asked={asked} what="the circuits">
      {(data) => {
        return (
          <div>
            <div className="flex flex-wrap items-end justify-between gap-4 pb-6">
              <div>
                <h1 className="text-display leading-tight">Circuits</h1>
                <p className="text-quiet">
                  Any pin, any key state: what should be there and where it comes from. Type a pin or a wire in the box
                  above.
                </p>
              </div>
              {may && (
                <Button
                  look="main"
                  onClick={() => {
                    setBringing(true)
                  }}
                >
                  Bring in a sheet
                </Button>
              )}
            </div>
            <div className="gap-x-12 desk:columns-2">
              {data.units.map((unit) => (
                <section key={unit.id} aria-label={unit.number} className="break-inside-avoid pb-6">
                  <h2 className="rule-below pb-1 text-lead">
                    <Link to={`/units/${unit.id}`}>
                      {unit.number} <span className="font-medium text-quiet">{unit.name}</span>
                    </Link>
                  </h2>
                  <ul>
                    <WholeUnit id={unit.id} />
                    {unit.sheets.map((line) => (
                      <SheetLink key={line.id} line={line} />
                    ))}
                  </ul>
                </section>
              ))}
              <section aria-labelledby="library" className="pb-6">
                <h2 id="library" className="rule-below pb-1 text-lead">
                  All sheets <span className="text-quiet">{data.sheets.length}</span>
                </h2>
                <ul>
                  {data.sheets.map((line) => (
                    <SheetLink key={line.id} line={line} />
                  ))}
                </ul>
                {may && <FitSheet sheets={data.sheets} />}
              </section>
            </div>
            <Sheet
              title="Bring in a sheet"
              open={bringing}
              onClose={() => {
                setBringing(false)
              }}
            >
              <BringInSheet
                onDone={() => {
                  setBringing(false)
                }}
              />
            </Sheet>
          </div>
        )
      }}
    </Shown>
  )
}
