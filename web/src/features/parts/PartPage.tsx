import { useQuery } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { keepPart, part as partQuery, scrapPart, type PartRecord } from '../../shared/api/parts'
import { Shown } from '../../shared/page/Shown'
import { useTitle } from '../../shared/page/useTitle'
import { HERE } from '../../shared/quantities/when'
import { written } from '../../shared/quantities/written'
import { useMay } from '../../shared/session/session'
import { OutOfUse } from '../../shared/ui/OutOfUse'
import { PlaceRow } from '../../shared/ui/PlaceRow'
import { ReadingRow } from '../../shared/ui/ReadingRow'

function standing(one: PartRecord) {
  const now = one.fittings.find((fitting) => fitting.to === null)
  if (now) return `in ${now.unit}, ${now.label}`
  return one.scrapped_at ? 'scrapped' : 'on the shelf'
}

/** One starter, alternator or relay through its life: where it stood, and what was read there meanwhile. */
export function PartPage() {
  const { id = '' } = useParams()
  const asked = useQuery(partQuery(id))
  const may = useMay()('edit_units')
  useTitle(asked.data ? `${asked.data.kind_label} ${asked.data.tag}` : '')
  return (
    <Shown asked={asked} what="the part">
      {(one) => (
        <div className="flex flex-col gap-6">
          <header className="rule-below pb-3">
            <h1 className="text-display leading-tight">
              {one.tag} <span className="font-medium">{standing(one)}</span>
            </h1>
            <p className="text-quiet">
              {one.kind_label}
              {one.spoken && `, ${written(one.spoken)}`}
              {one.note && `, ${one.note}`}
            </p>
          </header>
          <div className="grid gap-8 desk:grid-cols-[minmax(0,1.45fr)_minmax(0,1fr)] desk:gap-12">
            <section aria-labelledby="readings">
              <h2 id="readings" className="rule-below pb-1 text-lead">
                Read while it stood there
              </h2>
              {one.readings.length === 0 && (
                <p className="py-3">Nothing that says how it does: a crank round or a charging session comes first.</p>
              )}
              <ol>
                {one.readings.map((reading) => (
                  <ReadingRow key={reading.id} reading={reading} words={reading.short} zone={HERE} ruled />
                ))}
              </ol>
            </section>
            <div className="flex flex-col gap-8">
              <section aria-labelledby="places">
                <h2 id="places" className="rule-below pb-1 text-lead">
                  Where it has been
                </h2>
                {one.fittings.length === 0 && <p className="py-3">It was never fitted to a unit.</p>}
                <ol>
                  {one.fittings.map((place) => (
                    <PlaceRow key={place.from} place={place} unit={place.unit} words={place.label} />
                  ))}
                </ol>
              </section>
              {may && !one.fittings.some((place) => place.to === null) && (
                <OutOfUse one={one} scrap={(reason) => scrapPart(one, reason)} keep={() => keepPart(one)} />
              )}
            </div>
          </div>
        </div>
      )}
    </Shown>
  )
}
