import { useQuery } from '@tanstack/react-query'
import { HERE, spokenTime } from '../../../shared/quantities/when'
import { written } from '../../../shared/quantities/written'
import { Button } from '../../../shared/ui/Button'
import { ownFacts } from '../../../shared/api/ownFacts'
import type { SheetTable } from '../../../shared/api/circuits'
import { Shown } from '../../../shared/page/Shown'
import { saidOf } from './facts'
import { OwnWords } from './OwnWords'
import type { Place } from '../useSheetPlace'

/** All that this unit has otherwise than its sheet, and what was said of it before. */
export function OwnPanel({ sheet, go }: { sheet: SheetTable; go: (next: Partial<Place>) => void }) {
  const asked = useQuery(ownFacts(sheet.id))
  const unit = sheet.unit?.number ?? 'this unit'
  const placeOf = (item: string): Partial<Place> => {
    const wire = sheet.wires.find((one) => one.uuid === item)
    return wire ? { wire: wire.number } : { part: sheet.parts.find((one) => one.uuid === item)?.id ?? null }
  }
  return (
    <Shown asked={asked} what="what is its own">
      {(data) => (
        <div className="flex flex-col gap-5">
          <header>
            <h2 className="text-reading leading-tight">Otherwise on {unit}</h2>
            <p className="text-quiet">
              {data.own.length === 0
                ? `${unit} has all of this sheet as it is drawn. Tap a wire or component to say what is otherwise.`
                : 'Underlined on the drawing; it is reckoned and printed as it is on the machine. Jobs that are open go on with what they hold.'}
            </p>
          </header>
          <ul>
            {data.own.map(({ item, name, fact }) => (
              <li key={`${item} ${fact.field}`} className="rule-below py-1">
                <Button
                  look="inline"
                  onClick={() => {
                    go(placeOf(item))
                  }}
                >
                  {name}
                </Button>{' '}
                {fact.label} <strong className="font-semibold">{saidOf(fact)}</strong>
                <OwnWords fact={fact} />
              </li>
            ))}
          </ul>
          {data.earlier.length > 0 && (
            <section aria-label="Said before">
              <h3 className="text-lead">Said before</h3>
              <ul>
                {data.earlier.map((one) => (
                  <li key={`${one.name} ${one.label} ${one.at ?? ''}`} className="rule-below py-1">
                    {one.name} {one.label}: {written(one.says ?? 'not said')}
                    <span className="text-quiet">
                      , was {written(one.was ?? 'not said')}. {one.why}. {one.person},{' '}
                      {one.at && spokenTime(one.at, HERE)}
                    </span>
                  </li>
                ))}
              </ul>
            </section>
          )}
        </div>
      )}
    </Shown>
  )
}
