import { Link } from 'react-router'
import type { UnitLine } from '../../shared/api/types'
import { VerdictMark } from '../../shared/ui/VerdictMark'

/** A unit in its yard's list; open work carries the mark. */
export function UnitRow({ unit }: { unit: UnitLine }) {
  return (
    <li className="rule-below">
      <Link
        to={`/units/${unit.id}`}
        className="grid min-h-12 grid-cols-[4.5rem_1fr_auto] items-center gap-3 py-2 no-underline hover:bg-hair/40"
      >
        <span className="font-label text-lead font-bold link-words">{unit.number}</span>
        <span>
          {unit.name}
          <span className="block text-quiet">{unit.system}</span>
        </span>
        {(unit.held || unit.open_jobs > 0) && (
          <span className="flex items-center gap-2">
            <VerdictMark verdict="act" word={false} />
            <span className="font-label font-bold">{unit.held ? 'held' : 'open job'}</span>
          </span>
        )}
      </Link>
    </li>
  )
}
