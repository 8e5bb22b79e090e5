import { Link } from 'react-router'
import type { UnitSheet } from '../../shared/api/types'
import { FactCell } from '../../shared/board/FactCell'
import { FACTS, type Fact } from '../../shared/board/facts'

/** Where a fact's readings and its trend are, and what fills it where there is none. */
const WAYS: Record<Fact['key'], { to: (id: string) => string; fill: string }> = {
  batteries: { to: () => '#batteries', fill: 'Do the battery round' },
  charging: { to: (id) => `/units/${id}/rounds/charge`, fill: 'Do the charging session' },
  path: { to: (id) => `/units/${id}/rounds/start`, fill: 'Do the start round' },
  cold: { to: () => '#cold-start', fill: 'Do the start round' },
  grounds: { to: (id) => `/units/${id}/grounds`, fill: 'Do the ground round' },
  faults: { to: () => '#timeline', fill: '' },
}

/** Rounds that fill a fact which nobody has read yet. */
const FILLED_BY: Partial<Record<Fact['key'], string>> = { batteries: 'batteries', cold: 'start' }

/** The unit's line of the board: what it is like, since when; each leads to its readings, an empty one to the round that fills it. */
export function StandingHead({ sheet }: { sheet: UnitSheet }) {
  return (
    <dl className="grid grid-cols-[repeat(auto-fit,minmax(9.5rem,1fr))] gap-x-6 gap-y-4 desk:grid-cols-6">
      {FACTS.map((fact) => {
        const read = fact.of(sheet.standing)
        const way = WAYS[fact.key]
        const round = FILLED_BY[fact.key]
        const to = read || !round ? way.to(sheet.id) : `/units/${sheet.id}/rounds/${round}`
        const words = read || fact.key === 'faults' ? fact.title : way.fill
        return (
          <div key={fact.key}>
            <dt>
              {to.startsWith('#') ? (
                <a href={to} className="inline-flex min-h-12 items-center font-label font-bold dense:min-h-8">
                  {words}
                </a>
              ) : (
                <Link to={to} className="inline-flex min-h-12 items-center font-label font-bold dense:min-h-8">
                  {words}
                </Link>
              )}
            </dt>
            <dd>
              {!read && words !== fact.title && <span className="block text-quiet">{fact.title}</span>}
              <FactCell fact={fact} standing={sheet.standing} />
            </dd>
          </div>
        )
      })}
    </dl>
  )
}
