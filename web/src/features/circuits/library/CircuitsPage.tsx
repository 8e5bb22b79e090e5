import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { HERE, spokenDay } from '../../../shared/quantities/when'
import { useMay } from '../../../shared/session/session'
import { Button } from '../../../shared/ui/Button'
import { Sheet } from '../../../shared/ui/Sheet'
import { library, type CircuitClass, type CircuitLibrary, type SheetOfUnits } from '../../../shared/api/circuits'
import { drafts } from '../../../shared/api/drafts'
import { BeginDraft } from './BeginDraft'
import { BringInSheet } from './BringInSheet'
import { PageHead } from '../../../shared/page/PageHead'
import { Shown } from '../../../shared/page/Shown'
import { useTitle } from '../../../shared/page/useTitle'

const unitsWord = (count: number) => `${count} ${count === 1 ? 'unit' : 'units'}`

function SheetLink({ line }: { line: SheetOfUnits }) {
  return (
    <li>
      <Link
        to={`/circuits/${line.id}`}
        className="flex min-h-12 items-center justify-between gap-4 no-underline hover:bg-hair/40 dense:min-h-9"
      >
        <span className="link-words">{line.title}</span>
        <span className="flex-none text-quiet">
          {line.system_volt} V{line.n > 1 && `, version ${line.n}`}, {unitsWord(line.units)}
        </span>
      </Link>
    </li>
  )
}

/** Sister units: the whole circuit of each, and the sheets they share. */
function OfClass({ one }: { one: CircuitClass }) {
  const more = one.count - one.units.length
  return (
    <section aria-label={one.label} className="break-inside-avoid pb-6">
      <h2 className="rule-below pb-1 text-lead">
        {one.label} <span className="font-medium text-quiet">{unitsWord(one.count)}</span>
      </h2>
      <p className="flex flex-wrap items-center gap-x-4">
        <span className="text-quiet">The whole unit:</span>
        {one.units.map((unit) => (
          <Link
            key={unit.id}
            to={`/circuits/${unit.id}`}
            className="inline-flex min-h-12 min-w-12 items-center font-label font-bold dense:min-h-9"
          >
            {unit.number}
          </Link>
        ))}
        {more > 0 && one.id && (
          <Link to={`/units?class=${one.id}`} className="inline-flex min-h-12 items-center dense:min-h-9">
            {more} more
          </Link>
        )}
      </p>
      <ul>
        {one.sheets.map((line) => (
          <SheetLink key={line.id} line={line} />
        ))}
      </ul>
    </section>
  )
}

/** What drawings say of engines that will not stop: for a lead to answer once a sheet. */
function WillNotStop({ found }: { found: CircuitLibrary['will_not_stop'] }) {
  if (found.length === 0) return null
  return (
    <section aria-labelledby="will-not-stop" className="pb-6">
      <h2 id="will-not-stop" className="rule-below pb-1 text-lead">
        Will not stop, by the drawing <span className="text-quiet">{found.length}</span>
      </h2>
      <ul>
        {found.map((one) => (
          <li key={`${one.fitted_id} ${one.label}`} className="rule-below py-2">
            <Link to={`/circuits/${one.fitted_id}?ask=stops`} className="font-label font-bold">
              {one.title}: {one.label}
            </Link>
            <span className="pl-3 text-quiet">{unitsWord(one.units)}, no lead has answered</span>
            {one.words.slice(0, 2).map((words) => (
              <p key={words}>{words}</p>
            ))}
            {one.words.length > 2 && <p className="text-quiet">{one.words.length - 2} more on its sheet.</p>}
          </li>
        ))}
      </ul>
    </section>
  )
}

/** All circuit sheets: by class of unit, and the library they come from. */
export function CircuitsPage() {
  const asked = useQuery(library())
  useTitle('Circuits')
  const mayDo = useMay()
  const may = mayDo('edit_circuits')
  const [bringing, setBringing] = useState(false)
  const [beginning, setBeginning] = useState(false)
  const { data: written } = useQuery(drafts())
  return (
    <Shown asked={asked} what="the circuits">
      {(data) => {
        return (
          <div>
            <PageHead
              title="Circuits"
              words="Any pin, any key state: what should be there and where it comes from. Type a pin or a wire in the box above."
            >
              {may && (
                <div className="flex flex-wrap gap-3">
                  <Button
                    look="main"
                    onClick={() => {
                      setBeginning(true)
                    }}
                  >
                    Write a sheet
                  </Button>
                  <Button
                    onClick={() => {
                      setBringing(true)
                    }}
                  >
                    Bring in a sheet
                  </Button>
                </div>
              )}
            </PageHead>
            {written && written.drafts.length > 0 && (
              <section aria-labelledby="drafts" className="pb-6">
                <h2 id="drafts" className="rule-below pb-1 text-lead">
                  Being written
                </h2>
                <ul>
                  {written.drafts.map((one) => (
                    <li key={one.id} className="rule-below">
                      <Link to={`/drafts/${one.id}`} className="flex min-h-12 items-center gap-2 dense:min-h-9">
                        {one.title}
                        <span className="text-quiet">
                          {one.n !== null && `from version ${one.n}, `}
                          {one.person}, {spokenDay(one.begun_at, HERE)}
                        </span>
                      </Link>
                    </li>
                  ))}
                </ul>
              </section>
            )}
            {mayDo('lift_hold') && <WillNotStop found={data.will_not_stop} />}
            <div className="gap-x-12 desk:columns-2">
              {data.classes.map((one) => (
                <OfClass key={one.id ?? 'none'} one={one} />
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
                {may && <p className="pt-2 text-quiet">A unit’s own sheet of work fits one to it, under Circuits.</p>}
              </section>
            </div>
            <Sheet
              title="A new sheet"
              open={beginning}
              onClose={() => {
                setBeginning(false)
              }}
            >
              <BeginDraft copyOf={null} />
            </Sheet>
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
