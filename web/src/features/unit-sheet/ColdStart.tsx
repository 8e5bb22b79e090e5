import { useQuery } from '@tanstack/react-query'
import { unitStart, type UnitStart } from '../../shared/api/tonight'
import type { UnitSheet } from '../../shared/api/types'
import { Changed } from './Changed'
import { MarginChart } from './MarginChart'
import { Parked } from './Parked'
import { MorningTap } from '../../shared/cold-start/MorningTap'
import { glued } from '../../shared/quantities/glued'
import { spokenCelsius } from '../../shared/quantities/signed'
import { spokenDate } from '../../shared/quantities/when'
import { useMay } from '../../shared/session/session'
import { VerdictMark } from '../../shared/ui/VerdictMark'

type Forecast = NonNullable<UnitStart['forecast']>
function Remedies({ forecast }: { forecast: Forecast }) {
  if (forecast.remedies.length === 0) return null
  const cautions = [...new Set(forecast.remedies.flatMap((one) => one.cautions))]
  return (
    <div>
      <h3 className="font-bold">What would help, and by how many degrees</h3>
      <ul>
        {forecast.remedies.map((one) => (
          <li key={one.key} className="rule-below grid grid-cols-[1fr_auto] items-baseline gap-x-4 py-2">
            <span>
              {one.words}{' '}
              <span className="text-quiet">
                {one.minutes} min{one.chance_words && `, then no start ${one.chance_words}`}
              </span>
            </span>
            <span className="font-figure text-lead">{one.degrees} °C</span>
          </li>
        ))}
      </ul>
      {cautions.map((caution) => (
        <p key={caution} className="pt-2 text-quiet">
          {caution}
        </p>
      ))}
    </div>
  )
}

function Measure({ forecast }: { forecast: Forecast }) {
  const [first] = forecast.measure
  if (!first) return null
  return (
    <p>
      <span className="font-bold">{forecast.tested ? 'To know it better: ' : 'Measure first: '}</span>
      {first.words}. <span className="text-quiet">It may be off by {first.degrees} °C for that alone.</span>
    </p>
  )
}

function Foretold({ forecast }: { forecast: Forecast }) {
  const { tested, told } = forecast
  return (
    <>
      <p className="flex items-baseline gap-3">
        <VerdictMark verdict={forecast.verdict} word={false} />
        <span>
          <span className="font-figure text-lead">{glued(forecast.spoken)}</span>{' '}
          {glued(`give or take ${forecast.spread_celsius}: there it starts as often as not, ${forecast.limited_by}.`)}
          {forecast.chance_words && forecast.low_celsius !== null && (
            <span className="block">
              Tonight at {spokenCelsius(forecast.low_celsius)} no start {forecast.chance_words}
            </span>
          )}
          <span className="block text-quiet">
            {forecast.read_at
              ? `By its crank test of ${spokenDate(forecast.read_at.slice(0, 10))}${tested ? '' : ', before it was mended'}`
              : 'By labels and usual figures: never read while cranking'}
            {told > 0 && `, moved by ${told} ${told === 1 ? 'morning' : 'mornings'}`}
          </span>
        </span>
      </p>
      <MarginChart forecast={forecast} />
      {forecast.cautions.map((caution) => (
        <p key={caution} className="font-semibold text-act">
          {caution}
        </p>
      ))}
      <Measure forecast={forecast} />
      <Remedies forecast={forecast} />
    </>
  )
}

/** What this unit does on a cold morning, what would help, and how it went today. */
export function ColdStart({ sheet }: { sheet: UnitSheet }) {
  const { data: start } = useQuery(unitStart(sheet.id))
  const may = useMay()('say_morning')
  if (!start?.forecast) return null
  return (
    <section aria-labelledby="cold-start" className="flex flex-col gap-4">
      <h2 id="cold-start" className="rule-below pb-1 text-lead">
        Cold start
      </h2>
      <Foretold forecast={start.forecast} />
      {start.forecast.stands && <p>{glued(start.forecast.stands)}</p>}
      {may && !sheet.retired && <Parked sheet={sheet} start={start} />}
      {may && !sheet.retired && <Changed sheet={sheet} start={start} />}
      {may && !sheet.retired && (
        <div className="flex flex-col gap-2">
          <h3 className="font-bold">How did it start this morning?</h3>
          <MorningTap unit={{ id: sheet.id, name: sheet.number }} dawn={start.today} outcome={start.outcome} />
        </div>
      )}
    </section>
  )
}
