import { useQuery } from '@tanstack/react-query'
import { Link, useParams } from 'react-router'
import { keepPart, part as partQuery, scrapPart, type PartRecord } from '../../shared/api/parts'
import { Shown } from '../../shared/page/Shown'
import { useTitle } from '../../shared/page/useTitle'
import { HERE, spokenDay } from '../../shared/quantities/when'
import { written } from '../../shared/quantities/written'
import { useMay } from '../../shared/session/session'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { ReadingRow } from '../../shared/ui/ReadingRow'
import { useWrite } from '../../shared/writes/useWrite'

const UNSAID = { reason: '' }
const NOTHING = {}

/** Out of use with its reason, or back onto the shelf. */
function Fate({ one }: { one: PartRecord }) {
  const going = useWrite<typeof UNSAID, PartRecord>({ name: `scrap:${one.id}`, empty: UNSAID })
  const staying = useWrite<object, PartRecord>({ name: `keep:${one.id}`, empty: NOTHING })
  if (one.scrapped_at) {
    return (
      <div className="flex flex-col items-start gap-3">
        <p>Scrapped: {one.scrapped_because}</p>
        <Button disabled={staying.isPending} onClick={() => void staying.write(() => keepPart(one))}>
          Back onto the shelf
        </Button>
        <ErrorNote error={staying.error} />
      </div>
    )
  }
  return (
    <form
      className="flex flex-col gap-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void going.write(() => scrapPart(one, going.value.reason))
      }}
    >
      <Field label="Scrap it, because" error={going.error?.fields.reason?.[0]}>
        {(wiring) => (
          <input
            {...wiring}
            value={going.value.reason}
            onChange={(event) => {
              going.change({ reason: event.target.value })
            }}
          />
        )}
      </Field>
      <Button type="submit" className="self-start" disabled={going.isPending || going.value.reason.trim() === ''}>
        Scrap {one.tag}
      </Button>
      <ErrorNote error={going.error} />
    </form>
  )
}

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
              {one.note && `. ${one.note}`}
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
                    <li key={place.from} className="rule-below grid grid-cols-[6rem_1fr] items-center gap-x-3">
                      <Link
                        to={`/units/${place.unit_id}`}
                        className="inline-flex min-h-12 items-center font-label text-lead font-bold dense:min-h-9"
                      >
                        {place.unit}
                      </Link>
                      <span className="text-quiet">
                        {place.label}, {spokenDay(place.from, HERE)}{' '}
                        {place.to ? `to ${spokenDay(place.to, HERE)}` : 'until now'}
                      </span>
                    </li>
                  ))}
                </ol>
              </section>
              {may && !one.fittings.some((place) => place.to === null) && <Fate one={one} />}
            </div>
          </div>
        </div>
      )}
    </Shown>
  )
}
