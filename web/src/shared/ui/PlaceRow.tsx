import { Link } from 'react-router'
import { HERE, spokenDay } from '../quantities/when'

interface Place {
  unit_id: string
  from: string
  to: string | null
}

/** Where an individual stood, from when to when. */
export function PlaceRow({ place, unit, words }: { place: Place; unit: string; words?: string }) {
  return (
    <li className="rule-below grid grid-cols-[6rem_1fr] items-center gap-x-3 dense:min-h-9">
      <Link
        to={`/units/${place.unit_id}`}
        className="inline-flex min-h-12 items-center font-label text-lead font-bold dense:min-h-9"
      >
        {unit}
      </Link>
      <span className="text-quiet">
        {words && `${words}, `}
        {spokenDay(place.from, HERE)} {place.to ? `to ${spokenDay(place.to, HERE)}` : 'until now'}
      </span>
    </li>
  )
}
