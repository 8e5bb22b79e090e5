import { Link } from 'react-router'
import type { BoardLine } from '../../../shared/api/types'
import { FACTS, openWords, worstOf } from '../../../shared/board/facts'
import { FactCell } from '../../../shared/board/FactCell'
import { VerdictMark } from '../../../shared/ui/VerdictMark'

function Line({ unit }: { unit: BoardLine }) {
  const worst = worstOf(unit.standing)
  const open = openWords(unit.standing)
  return (
    <li className="rule-below py-2">
      <div className="flex flex-wrap items-center gap-x-3">
        {worst[0] && <VerdictMark verdict={unit.standing.open.held ? 'act' : worst[0].verdict} word={false} />}
        <Link
          to={`/units/${unit.id}`}
          className="inline-flex min-h-12 min-w-0 flex-1 items-center gap-2 font-label text-lead font-bold"
        >
          {unit.number} <span className="font-figure text-base font-normal">{unit.name}</span>
        </Link>
        {open[0] && <span className="font-label font-bold">{open[0]}</span>}
      </div>
      <details>
        <summary className="flex min-h-12 cursor-pointer flex-wrap items-center gap-x-4">
          {worst.length === 0 && <span className="text-quiet">nothing read yet</span>}
          {worst.map(({ fact, read }) => (
            <span key={fact.key}>
              <span className="text-quiet">{fact.title}</span> <span className="font-semibold">{read.figure}</span>
            </span>
          ))}
        </summary>
        <dl className="grid grid-cols-[auto_minmax(0,1fr)] gap-x-4 gap-y-3 pb-2">
          {FACTS.map((fact) => (
            <div key={fact.key} className="contents">
              <dt className="font-label text-quiet">{fact.title}</dt>
              <dd>
                <FactCell fact={fact} standing={unit.standing} />
              </dd>
            </div>
          ))}
        </dl>
      </details>
    </li>
  )
}

/** The same on a phone: the worst mark and two figures of each unit, the rest a tap away. */
export function PhoneBoard({ rows, byYard }: { rows: BoardLine[]; byYard: boolean }) {
  const yards = byYard ? [...new Set(rows.map((unit) => unit.yard))] : ['']
  return yards.map((yard) => (
    <section key={yard} aria-label={yard || 'Units'} className="pb-6">
      {yard && <h2 className="rule-below pb-1 text-lead">{yard}</h2>}
      <ul>
        {rows
          .filter((unit) => !byYard || unit.yard === yard)
          .map((unit) => (
            <Line key={unit.id} unit={unit} />
          ))}
      </ul>
    </section>
  ))
}
