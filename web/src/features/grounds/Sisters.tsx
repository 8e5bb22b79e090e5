import { Link } from 'react-router'
import type { Grounds } from '../../shared/api/grounds'
import { spokenDate } from '../../shared/quantities/when'

/** After one unit the next of its class that stands beside it and waits: the same walk, with the same tools in hand. */
export function OnToSister({ data }: { data: Grounds }) {
  const next = data.sisters.find((sister) => sister.due)
  if (!next) return null
  return (
    <Link
      to={`/units/${next.id}/grounds?at=0`}
      className="inline-flex min-h-12 items-center bg-paper px-4 font-label font-bold text-ink"
    >
      On to {next.number}, the same walk
    </Link>
  )
}

/** Sister units of this yard, those that wait longest first. */
export function Sisters({ data }: { data: Grounds }) {
  if (data.sisters.length === 0) return null
  return (
    <section aria-labelledby="sisters">
      <h2 id="sisters" className="rule-below pb-1 text-lead">
        Sister units beside it
      </h2>
      <ul>
        {data.sisters.map((sister) => (
          <li key={sister.id} className="rule-below">
            <Link
              to={`/units/${sister.id}/grounds`}
              className="flex min-h-12 flex-wrap items-center gap-x-3 py-2 dense:min-h-9"
            >
              <span className="font-label font-bold">
                {sister.number} {sister.name}
              </span>
              <span className="text-quiet">{sister.last_on ? spokenDate(sister.last_on) : 'never looked after'}</span>
              {sister.due && sister.last_on && <span className="font-semibold">due</span>}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}
