import { Link } from 'react-router'
import type { UnitSheet } from '../../shared/api/types'

const ROUNDS = [
  { to: 'rounds/batteries', label: 'Battery round' },
  { to: 'rounds/start', label: 'Crank round' },
  { to: 'traces', label: 'Crank traces' },
  { to: 'rounds/charge', label: 'Charging session' },
  { to: 'rounds/asleep', label: 'Draw asleep' },
  { to: 'grounds', label: 'Grounds, map and round' },
]

/** What is read where nothing is complained of. */
export function Rounds({ sheet }: { sheet: UnitSheet }) {
  return (
    <section aria-labelledby="rounds">
      <h2 id="rounds" className="rule-below pb-1 text-lead">
        Rounds
      </h2>
      <ul className="grid grid-cols-2 gap-x-6">
        {ROUNDS.map(({ to, label }) => (
          <li key={to} className="rule-below">
            <Link to={`/units/${sheet.id}/${to}`} className="flex min-h-12 items-center font-semibold dense:min-h-9">
              {label}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}
