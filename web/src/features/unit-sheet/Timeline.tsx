import { Link } from 'react-router'
import type { UnitSheet } from '../../shared/api/types'
import { glued } from '../../shared/quantities/glued'
import { spokenTime } from '../../shared/quantities/when'
import { VerdictMark } from '../../shared/ui/VerdictMark'

const SHOWN = 24

/** Readings, jobs and repairs on one line of time, newest first. */
export function Timeline({ sheet }: { sheet: UnitSheet }) {
  return (
    <section aria-labelledby="timeline">
      <div className="rule-below flex items-baseline justify-between pb-1">
        <h2 id="timeline" className="text-lead">
          Timeline
        </h2>
        <a href={`/api/units/${sheet.id}/readings.csv`} download className="font-label">
          All readings as CSV
        </a>
      </div>
      {sheet.timeline.length === 0 && (
        <p className="py-4">
          Nothing measured yet. Test its batteries once while it is sound: later readings compare with that.
        </p>
      )}
      <ol>
        {sheet.timeline.slice(0, SHOWN).map((entry) => (
          <li
            key={`${entry.at}-${entry.words}-${entry.spoken ?? ''}`}
            className="rule-below grid grid-cols-[1.5rem_1fr_auto] items-baseline gap-x-3 py-2"
          >
            <span>{entry.verdict && <VerdictMark verdict={entry.verdict} word={false} />}</span>
            <span>
              {entry.kind === 'reading' ? (
                entry.words
              ) : (
                <Link to={`/jobs/${entry.job_id ?? ''}`} className="font-semibold">
                  {entry.words}
                </Link>
              )}
              <span className="block text-quiet">
                {spokenTime(entry.at, sheet.time_zone)}
                {entry.summary && ` · ${glued(entry.summary)}`}
              </span>
            </span>
            <span className="text-lead font-semibold">{entry.spoken}</span>
          </li>
        ))}
      </ol>
      {sheet.timeline.length > SHOWN && <p className="pt-2 text-quiet">Older ones are in the CSV.</p>}
    </section>
  )
}
