import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { shelf, type Shelf } from '../../shared/api/batteries'
import { PageHead } from '../../shared/page/PageHead'
import { Shown } from '../../shared/page/Shown'
import { useTitle } from '../../shared/page/useTitle'
import { written } from '../../shared/quantities/written'
import { useMay } from '../../shared/session/session'
import { Button } from '../../shared/ui/Button'
import { Sheet } from '../../shared/ui/Sheet'
import { NewSpare } from './NewSpare'
import { SpareRow } from './SpareRow'

/** Which spares may work together, the nearest first. */
function Pairs({ data }: { data: Shelf }) {
  return (
    <section aria-labelledby="pairs">
      <h2 id="pairs" className="rule-below pb-1 text-lead">
        Which go together
      </h2>
      {data.pairs.length === 0 && (
        <p className="py-3">No two here are of one type and size, tested, and near each other.</p>
      )}
      <ol>
        {data.pairs.map((pair) => (
          <li key={pair.ids.join()} className="rule-below py-2">
            <span className="flex gap-4">
              {pair.ids.map((id, index) => (
                <Link
                  key={id}
                  to={`/batteries/${id}`}
                  className="inline-flex min-h-12 items-center font-label text-lead font-bold dense:min-h-9"
                >
                  {pair.tags[index]}
                </Link>
              ))}
            </span>
            <span className="text-quiet">{pair.words}</span>
          </li>
        ))}
      </ol>
      {data.untested.length > 0 && <p className="pt-3 text-quiet">Test these first: {data.untested.join(', ')}.</p>}
    </section>
  )
}

/** Starters, alternators and relays that no unit has. */
function LooseParts({ data }: { data: Shelf }) {
  if (data.parts.length === 0) return null
  return (
    <section aria-labelledby="loose">
      <h2 id="loose" className="rule-below pb-1 text-lead">
        Starters, alternators, relays
      </h2>
      <ul>
        {data.parts.map((one) => (
          <li key={one.id} className="rule-below flex flex-wrap items-center gap-x-4">
            <Link
              to={`/parts/${one.id}`}
              className="inline-flex min-h-12 items-center font-label text-lead font-bold dense:min-h-9"
            >
              {one.tag}
            </Link>
            <span>
              {one.kind_label}
              {one.spoken && `, ${written(one.spoken)}`}
            </span>
            {one.note && <span className="text-quiet">{one.note}</span>}
          </li>
        ))}
      </ul>
    </section>
  )
}

/** Spare batteries: what wants charging first, and what goes with what. */
export function ShelfPage() {
  useTitle('Shelf')
  const asked = useQuery(shelf())
  const may = useMay()('edit_batteries')
  const [entering, setEntering] = useState(false)
  const close = () => {
    setEntering(false)
  }
  return (
    <Shown asked={asked} what="the shelf">
      {(data) => {
        const due = data.batteries.filter((spare) => spare.wants_charge).length
        return (
          <div>
            <PageHead
              title="Shelf"
              words={`${data.batteries.length} spare batteries, ${due} of them to charge now. They lose charge by themselves: the warmer, the faster.`}
            >
              {may && (
                <Button
                  look="main"
                  onClick={() => {
                    setEntering(true)
                  }}
                >
                  New battery
                </Button>
              )}
            </PageHead>
            <div className="grid gap-10 desk:grid-cols-[minmax(0,1.9fr)_minmax(0,1fr)] desk:gap-12">
              <section aria-labelledby="spares">
                <h2 id="spares" className="rule-below pb-1 text-lead">
                  By when they want charging
                </h2>
                {data.batteries.length === 0 && (
                  <p className="py-3">Nothing on the shelf. What is taken off a unit lands here, with its history.</p>
                )}
                <ul>
                  {data.batteries.map((spare, index) => (
                    <SpareRow key={spare.id} spare={spare} next={index === 0 && spare.wants_charge} />
                  ))}
                </ul>
              </section>
              <div className="flex flex-col gap-8">
                <Pairs data={data} />
                <LooseParts data={data} />
              </div>
            </div>
            <Sheet title="A new battery" open={entering} onClose={close}>
              <NewSpare onDone={close} />
            </Sheet>
          </div>
        )
      }}
    </Shown>
  )
}
