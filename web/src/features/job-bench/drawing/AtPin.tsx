import { Link } from 'react-router'
import type { JobDrawing } from '../../../shared/api/jobs'
import { partOf, spokenPin } from '../../../shared/drawing/names'
import { VerdictMark } from '../../../shared/ui/VerdictMark'

/** Its name on the unit's whole circuit, where the job measures. */
function onUnit(data: JobDrawing, pin: string): string {
  const id = partOf(pin)
  return (data.ids[id] ?? id) + pin.slice(id.length)
}

/** What was read at one pin, and the way to measure there. */
export function AtPin({ data, pin }: { data: JobDrawing; pin: string }) {
  const here = data.readings.filter((one) => one.from === pin || one.to === pin)
  return (
    <section aria-label={`At ${pin}`} className="flex flex-col gap-2">
      <h2 className="text-reading leading-tight">{spokenPin(pin)}</h2>
      {here.length === 0 && <p className="text-quiet">Nothing was read here in this job.</p>}
      <ul>
        {here.map((one) => (
          <li key={one.id} className="rule-below flex flex-wrap items-center gap-x-2 py-1">
            {one.label} <strong className="font-semibold">{one.spoken}</strong> <VerdictMark verdict={one.verdict} />
          </li>
        ))}
      </ul>
      <Link
        to={`/jobs/${data.job.id}?touch=${encodeURIComponent(onUnit(data, pin))}`}
        className="min-h-12 py-3 font-bold"
      >
        Measure from here
      </Link>
    </section>
  )
}
