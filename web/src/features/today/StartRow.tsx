import { lazy, Suspense } from 'react'
import { Link } from 'react-router'
import type { Night, StartLine } from '../../shared/api/tonight'
import { glued } from '../../shared/quantities/glued'
import { useMay } from '../../shared/session/session'
import { Remedies } from './Remedies'
import { VerdictMark } from '../../shared/ui/VerdictMark'

/** Of mornings alone: in the evening nobody taps. */
const MorningTap = lazy(async () => ({ default: (await import('../../shared/cold-start/MorningTap')).MorningTap }))

/** A unit that may not start: how likely, why, and in the morning how it went. */
export function StartRow({ line, night }: { line: StartLine; night: Night | undefined }) {
  const may = useMay()('say_morning')
  return (
    <li className="rule-below grid grid-cols-[auto_1fr] items-baseline gap-x-4 gap-y-1 py-3 desk:grid-cols-[7rem_15rem_10rem_1fr]">
      <VerdictMark verdict={line.verdict} />
      <Link to={line.path} className="font-label text-lead font-bold">
        {line.unit}
      </Link>
      <span className="col-span-2 desk:col-span-1">
        {line.chance_planned_words ? (
          <>
            <s className="text-quiet">{line.chance_words}</s>{' '}
            <span className="font-figure text-lead">{line.chance_planned_words}</span>
          </>
        ) : (
          <span className="font-figure text-lead">{line.chance_words}</span>
        )}{' '}
        <span className="text-quiet">no start</span>
      </span>
      <span className="col-span-2 desk:col-span-1">
        {glued(line.words)}{' '}
        <span className="block text-quiet">
          {line.yard}
          {line.matters && `, ${line.matters}`}
          {line.nights_parked > 1 && `, parked ${line.nights_parked} nights`}
        </span>
      </span>
      {night && !night.morning && line.verdict !== 'sound' && (
        <div className="col-span-2 desk:col-span-3 desk:col-start-2">
          <Remedies line={line} dawn={night.dawn} may={may} />
        </div>
      )}
      {night?.morning && may && (
        <div className="col-span-2 min-h-12 desk:col-span-4">
          <Suspense>
            <MorningTap unit={{ id: line.unit_id, name: line.unit }} dawn={night.dawn} outcome={line.outcome} />
          </Suspense>
        </div>
      )}
    </li>
  )
}
