import { scaleLinear } from 'd3-scale'
import { Link } from 'react-router'
import type { Night, StartLine } from '../../shared/api/tonight'
import { signed, spokenCelsius } from '../../shared/quantities/signed'
import { VerdictMark } from '../../shared/ui/VerdictMark'

const cold = (celsius: number) => spokenCelsius(Math.round(celsius))
const SPARE_CELSIUS = 2
const GRID =
  'grid grid-cols-[1fr_auto] gap-x-3 max-desk:@min-[20rem]:grid-cols-[4.5rem_minmax(0,1fr)_5.5rem] desk:grid-cols-[14rem_minmax(0,1fr)_7rem]'
/** The scale stands under name and chance where large letters leave it no room between them. */
const SCALE = 'relative order-last col-span-2 min-h-8 @min-[20rem]:order-none @min-[20rem]:col-span-1'

/** Degrees from the coldest to the warmest that is drawn of a yard, as shares of the width. */
function scaleOf(low: number, lines: StartLine[]) {
  const ends = lines.flatMap((line) => [line.celsius - line.spread_celsius, line.celsius + line.spread_celsius])
  const domain = [Math.min(low, ...ends) - SPARE_CELSIUS, Math.max(low, ...ends) + SPARE_CELSIUS]
  return scaleLinear(domain, [0, 100])
}

const at = (percent: number) => `${percent.toFixed(2)}%`

function Band({ line, x }: { line: StartLine; x: (celsius: number) => number }) {
  const from = x(line.celsius - line.spread_celsius)
  const to = x(line.celsius + line.spread_celsius)
  const tone = line.verdict === 'act' ? 'bg-act' : line.verdict === 'watch' ? 'bg-watch' : 'bg-quiet'
  return (
    <>
      <span
        className={`absolute top-1/2 h-2 -translate-y-1/2 opacity-35 ${tone}`}
        style={{ left: at(from), width: at(to - from) }}
      />
      <span className={`absolute top-1/2 h-5 w-1 -translate-1/2 ${tone}`} style={{ left: at(x(line.celsius)) }} />
    </>
  )
}

/** One yard: a scale of temperature, each unit's even odds with their band on it, tonight's low across all of them. */
export function YardNight({ night, lines }: { night: Night; lines: StartLine[] }) {
  const low = night.low_celsius
  if (low === null)
    return (
      <p>Nobody has said how cold it gets in {night.yard} tonight: type it on Today, and the list follows from it.</p>
    )
  if (lines.length === 0)
    return (
      <p>
        At {cold(low)} all that is in {night.yard} is expected to start.
      </p>
    )
  const scale = scaleOf(low, lines)
  const x = (celsius: number) => scale(celsius)
  return (
    <figure className="@container break-inside-avoid" aria-label={`${night.yard}: even odds of each unit`}>
      <div className={GRID} aria-hidden>
        <span className="text-quiet desk:pt-1">Even odds</span>
        <div className={`text-quiet ${SCALE}`}>
          {scale.ticks(6).map((tick, index) => (
            <span
              key={tick}
              className={`absolute -translate-x-1/2 whitespace-nowrap ${index % 2 === 1 ? 'hidden @min-[20rem]:inline' : ''}`}
              style={{ left: at(x(tick)) }}
            >
              {signed(tick)}
            </span>
          ))}
        </div>
        <span className="text-right text-quiet desk:pt-1">No start</span>
      </div>
      <ul>
        {lines.map((line) => (
          <li key={line.unit_id} className={`rule-below items-stretch ${GRID}`}>
            <Link
              to={line.path}
              className="flex min-h-12 items-center gap-2 font-label font-bold dense:min-h-8"
              title={line.unit}
            >
              <VerdictMark verdict={line.verdict} word={false} />
              <span className="max-desk:hidden truncate">{line.unit}</span>
              <span className="desk:hidden" aria-label={line.unit}>
                {line.unit.split(' ', 1)[0]}
              </span>
            </Link>
            <div className={SCALE}>
              {scale.ticks(6).map((tick) => (
                <span key={tick} className="absolute inset-y-0 border-l border-hair" style={{ left: at(x(tick)) }} />
              ))}
              <span className="absolute inset-y-0 border-l-3 border-copper" style={{ left: at(x(low)) }} />
              <Band line={line} x={x} />
            </div>
            <span className="self-center text-right">
              <strong className="font-semibold whitespace-nowrap">{line.chance_words}</strong>
            </span>
          </li>
        ))}
      </ul>
      <figcaption className="pt-2">
        <span className="font-semibold text-copper">Copper</span>: tonight’s low, {cold(low)}. A unit whose mark lies
        right of it starts less often than not; its band is how far that may be off.
      </figcaption>
      <details className="print:hidden">
        <summary className="min-h-12 py-3 font-label font-bold dense:min-h-9 dense:py-2">As a table</summary>
        <table className="w-full">
          <thead>
            <tr className="rule-below text-left">
              <th className="py-1 font-label">Unit</th>
              <th className="py-1 text-right font-label">Even odds</th>
              <th className="py-1 text-right font-label">Give or take</th>
              <th className="py-1 text-right font-label">No start</th>
            </tr>
          </thead>
          <tbody>
            {lines.map((line) => (
              <tr key={line.unit_id} className="rule-below">
                <td className="py-1">{line.unit}</td>
                <td className="py-1 text-right">{line.celsius_words}</td>
                <td className="py-1 text-right">{Math.round(line.spread_celsius)} °C</td>
                <td className="py-1 text-right">{line.chance_words}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </figure>
  )
}
