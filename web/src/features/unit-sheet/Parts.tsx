import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { takePartOff, unitParts, type Place, type UnitParts } from '../../shared/api/parts'
import type { UnitSheet } from '../../shared/api/types'
import { spokenDay } from '../../shared/quantities/when'
import { written } from '../../shared/quantities/written'
import { useMay } from '../../shared/session/session'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Sheet } from '../../shared/ui/Sheet'
import { VerdictMark } from '../../shared/ui/VerdictMark'
import { useWrite } from '../../shared/writes/useWrite'
import { FitPart } from './FitPart'

const NOTHING = {}

/** A stronger alternator than before: what the same cable then bears, and what to look at. */
function Retrofit({ place }: { place: Place }) {
  if (!place.retrofit) return null
  return (
    <details className="col-span-full">
      <summary className="flex min-h-12 items-center gap-3 dense:min-h-9">
        <VerdictMark verdict="watch" word={false} />
        <span>Stronger than before: {place.retrofit.words}</span>
      </summary>
      <ul className="pl-9">
        {place.retrofit.checks.map((check) => (
          <li key={check} className="py-1">
            {check}
          </li>
        ))}
      </ul>
    </details>
  )
}

function Row({
  data,
  place,
  zone,
  onFit,
}: {
  data: UnitParts
  place: Place
  zone: string
  onFit: (() => void) | undefined
}) {
  const off = useWrite<object, UnitParts>({ name: `part-off:${data.unit.id}:${place.key}`, empty: NOTHING })
  const { asset } = place
  return (
    <li className="rule-below grid grid-cols-[1fr_auto] items-center gap-x-3 py-1">
      <span>
        <span className="font-label font-bold">{place.label}</span>{' '}
        {asset && (
          <Link to={`/parts/${asset.id}`} className="inline-flex min-h-12 items-center font-bold dense:min-h-9">
            {asset.tag}
          </Link>
        )}
        <span className="block text-quiet">
          {asset
            ? [asset.spoken && written(asset.spoken), place.fitted_at && `since ${spokenDay(place.fitted_at, zone)}`]
                .filter(Boolean)
                .join(', ')
            : 'not entered'}
        </span>
        {place.replaced_at && (
          <span className="block font-semibold">Replaced {spokenDay(place.replaced_at, zone)}: enter the new one</span>
        )}
      </span>
      {onFit && (
        <span className="flex flex-wrap justify-end gap-2">
          {asset && (
            <Button
              look="quiet"
              disabled={off.isPending}
              onClick={() => void off.write(() => takePartOff(data.unit, place))}
            >
              Take off
            </Button>
          )}
          <Button look="quiet" onClick={onFit}>
            {asset ? 'Replace' : 'Enter'}
          </Button>
        </span>
      )}
      <Retrofit place={place} />
      <ErrorNote error={off.error} />
    </li>
  )
}

/** Starter, alternator and relays as individuals, in their places. */
export function Parts({ sheet }: { sheet: UnitSheet }) {
  const { data } = useQuery(unitParts(sheet.id))
  const may = useMay()('edit_units') && !sheet.retired
  const [open, setOpen] = useState<string | null>(null)
  const close = () => {
    setOpen(null)
  }
  if (!data || data.places.length === 0) return null
  const [relays, machines] = [
    data.places.filter((place) => place.kind === 'relay'),
    data.places.filter((place) => place.kind !== 'relay'),
  ]
  const row = (place: Place) => (
    <Row
      key={place.key}
      data={data}
      place={place}
      zone={sheet.time_zone}
      onFit={
        may
          ? () => {
              setOpen(place.key)
            }
          : undefined
      }
    />
  )
  const entered = relays.filter((place) => place.asset)
  const fitting = data.places.find((place) => place.key === open)
  return (
    <section aria-labelledby="parts">
      <h2 id="parts" className="rule-below pb-1 text-lead">
        Starter, alternator, relays
      </h2>
      <ul>{machines.map(row)}</ul>
      {entered.length > 0 && <ul>{entered.map(row)}</ul>}
      {relays.length > entered.length && (
        <details>
          <summary className="min-h-12 py-3 font-label font-bold dense:min-h-9 dense:py-2">
            {relays.length - entered.length} relays not entered
          </summary>
          <ul>{relays.filter((place) => !place.asset).map(row)}</ul>
        </details>
      )}
      {data.past.length > 0 && (
        <p className="pt-2 text-quiet">
          Before:{' '}
          {data.past.map((past, index) => (
            <span key={`${past.id}-${past.from}`}>
              {index > 0 && ', '}
              <Link to={`/parts/${past.id}`}>{past.tag}</Link> {past.label} to {spokenDay(past.to, sheet.time_zone)}
            </span>
          ))}
        </p>
      )}
      <Sheet title={fitting ? fitting.label : ''} open={fitting !== undefined} onClose={close}>
        {fitting && <FitPart data={data} place={fitting} onDone={close} />}
      </Sheet>
    </section>
  )
}
