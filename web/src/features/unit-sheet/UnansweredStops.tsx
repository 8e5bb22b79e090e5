import { Link } from 'react-router'
import type { UnitSheet } from '../../shared/api/types'
import { VerdictMark } from '../../shared/ui/VerdictMark'

/** Single faults with which it will not stop, and that no lead has answered: it does not go out before. */
export function UnansweredStops({ sheet }: { sheet: UnitSheet }) {
  if (sheet.stops_unanswered.length === 0) return null
  return (
    <section aria-label="Will not stop">
      <ul>
        {sheet.stops_unanswered.map((one) => (
          <li key={`${one.sheet}${one.label}`} className="rule-below grid grid-cols-[1.5rem_1fr] gap-x-3 py-2">
            <VerdictMark verdict="act" word={false} />
            <p>
              <Link to={`/circuits/${one.sheet}?ask=stops`} className="font-label font-bold">
                {one.findings} {one.findings === 1 ? 'fault' : 'faults'} with which it will not stop
              </Link>
              <span className="block text-quiet">{one.label}. A lead answers before it goes out.</span>
            </p>
          </li>
        ))}
      </ul>
    </section>
  )
}
