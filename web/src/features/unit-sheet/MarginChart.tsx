import { scaleLinear } from 'd3-scale'
import { curveMonotoneX, line } from 'd3-shape'
import { useId } from 'react'
import type { UnitStart } from '../../shared/api/tonight'
import { useFrame } from '../../shared/chart/useFrame'
import { spokenCelsius } from '../../shared/quantities/signed'

type Forecast = NonNullable<UnitStart['forecast']>

const HEIGHT = 200
const LEFT = 56
const RIGHT = 24
const TOP = 14
const BOTTOM = 32
const TICKS = [0, 50, 100]
const DEGREES = [-30, -20, -10, 0, 10]
const EVEN = 50
const LABEL = 60

/** How likely it is not to start, by how cold the night gets: where tonight lies on it. */
export function MarginChart({ forecast }: { forecast: Forecast }) {
  const id = useId()
  const { element, width } = useFrame(LABEL, DEGREES.length)
  const { curve, low_celsius: low } = forecast
  const x = scaleLinear([curve[0]?.celsius ?? -30, curve.at(-1)?.celsius ?? 12], [LEFT, width - RIGHT]).clamp(true)
  const y = scaleLinear([0, 100], [HEIGHT - BOTTOM, TOP])
  const path = line<Forecast['curve'][number]>(
    (point) => x(point.celsius),
    (point) => y(point.percent),
  ).curve(curveMonotoneX)(curve)
  return (
    <figure ref={element} aria-labelledby={id}>
      <svg
        viewBox={`0 0 ${width} ${HEIGHT}`}
        className="w-full"
        role="img"
        aria-label="Chance of no start by temperature, the table below says the same"
      >
        {TICKS.map((tick) => (
          <g key={tick}>
            <path d={`M${LEFT} ${y(tick)}H${width - RIGHT}`} className="stroke-hair" />
            <text x={LEFT - 8} y={y(tick) + 5} textAnchor="end" className="fill-quiet text-[16px]">
              {tick} %
            </text>
          </g>
        ))}
        <path d={`M${LEFT} ${y(EVEN)}H${width - RIGHT}`} className="stroke-act" strokeWidth="2" strokeDasharray="7 5" />
        {DEGREES.map((tick) => (
          <text key={tick} x={x(tick)} y={HEIGHT - 10} textAnchor="middle" className="fill-quiet text-[16px]">
            {spokenCelsius(tick)}
          </text>
        ))}
        {path && <path d={path} className="fill-none stroke-ink" strokeWidth="2.5" />}
        {low !== null && (
          <g>
            <path d={`M${x(low)} ${TOP}V${HEIGHT - BOTTOM}`} className="stroke-copper" strokeWidth="2.5" />
            <text
              x={x(low) + (x(low) > width / 2 ? -8 : 8)}
              y={TOP + 14}
              textAnchor={x(low) > width / 2 ? 'end' : 'start'}
              className="fill-copper text-[16px] font-semibold"
            >
              tonight {spokenCelsius(low)}
            </text>
          </g>
        )}
      </svg>
      <details>
        <summary id={id} className="min-h-12 py-3 font-label font-bold dense:min-h-9 dense:py-2">
          No start by temperature, as a table
        </summary>
        <table className="w-full">
          <thead>
            <tr className="rule-below text-left">
              <th className="py-1 font-label">Low of the night</th>
              <th className="py-1 text-right font-label">No start</th>
            </tr>
          </thead>
          <tbody>
            {curve.map((point) => (
              <tr key={point.celsius} className="rule-below">
                <td className="py-1">{spokenCelsius(point.celsius)}</td>
                <td className="py-1 text-right">{point.percent} %</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </figure>
  )
}
