import { scaleLinear, scaleTime } from 'd3-scale'
import { line } from 'd3-shape'
import { useId } from 'react'
import { spokenDate } from '../quantities/when'
import { useFrame } from './useFrame'

export interface TrendPoint {
  day: string
  value: number
  /** Left out of the line: shown, but hollow. */
  counts: boolean
}

interface Props {
  /** What it is, for the heading of the table and for who cannot see it. */
  label: string
  unit: string
  points: TrendPoint[]
  /** What it is held against: one limit, or the two of a band. */
  limits: { value: number; words: string }[]
  /** Air above the highest and below the lowest, in its unit. */
  air?: number
  /** When the line will reach the limit, at the earliest and at the latest; an open end is drawn to the edge. */
  reaches: { from: string | null; to: string | null } | null
}

const HEIGHT = 260
/** Pixels that a label on the time line takes, at least. */
const LABEL = 110
const LEFT = 56
const RIGHT = 16
const TOP = 16
const BOTTOM = 36
const DAY_MILLISECONDS = 86_400_000

const timeOf = (day: string) => new Date(`${day}T00:00:00Z`)
const monthOf = new Intl.DateTimeFormat('en-GB', { month: 'short', year: '2-digit', timeZone: 'UTC' })

/** A figure over time with the limit it is held against, the time in which it will reach that, and the table behind it. */
export function Trend({ label, unit, points, limits, air = 5, reaches }: Props) {
  const id = useId()
  const { element, width, ticks } = useFrame(LABEL, 6)
  const days = points.map((point) => timeOf(point.day).getTime())
  const ends = [reaches?.from, reaches?.to].flatMap((day) => (day ? [timeOf(day).getTime()] : []))
  const first = Math.min(...days)
  const last = Math.max(...days, ...ends, first + 60 * DAY_MILLISECONDS)
  const x = scaleTime([new Date(first), new Date(last)], [LEFT, width - RIGHT])
  const values = [...points.map((point) => point.value), ...limits.map((limit) => limit.value)]
  const y = scaleLinear([Math.min(...values) - air, Math.max(...values) + air], [HEIGHT - BOTTOM, TOP]).nice(ticks)
  const path = line<TrendPoint>(
    (point) => x(timeOf(point.day)),
    (point) => y(point.value),
  )(points.filter((point) => point.counts))
  const band = reaches && {
    from: reaches.from ? x(timeOf(reaches.from)) : x(new Date(last)),
    to: reaches.to ? x(timeOf(reaches.to)) : width - RIGHT,
  }
  return (
    <figure ref={element} aria-labelledby={id}>
      <svg
        viewBox={`0 0 ${width} ${HEIGHT}`}
        className="w-full"
        role="img"
        aria-label={`${label}, the table below says the same`}
      >
        {y.ticks(ticks).map((tick) => (
          <g key={tick}>
            <path d={`M${LEFT} ${y(tick)}H${width - RIGHT}`} className="stroke-hair" />
            <text x={LEFT - 8} y={y(tick) + 5} textAnchor="end" className="fill-quiet text-[16px]">
              {tick} {unit}
            </text>
          </g>
        ))}
        {x.ticks(ticks).map((tick) => (
          <text key={tick.getTime()} x={x(tick)} y={HEIGHT - 10} textAnchor="middle" className="fill-quiet text-[16px]">
            {monthOf.format(tick)}
          </text>
        ))}
        {band && (
          <rect
            x={band.from}
            y={TOP}
            width={Math.max(band.to - band.from, 2)}
            height={HEIGHT - BOTTOM - TOP}
            className="fill-act/10"
          />
        )}
        {limits.map((limit) => (
          <g key={limit.words}>
            <path
              d={`M${LEFT} ${y(limit.value)}H${width - RIGHT}`}
              className="stroke-act"
              strokeWidth="2"
              strokeDasharray="7 5"
            />
            <text x={LEFT + 6} y={y(limit.value) - 7} className="fill-act text-[16px] font-semibold">
              {limit.words}
            </text>
          </g>
        ))}
        {path && <path d={path} className="fill-none stroke-ink" strokeWidth="2.5" />}
        {points.map((point) => (
          <circle
            key={`${point.day}-${point.value}`}
            cx={x(timeOf(point.day))}
            cy={y(point.value)}
            r="5"
            strokeWidth="2"
            className={point.counts ? 'fill-ink stroke-ink' : 'fill-ground stroke-ink'}
          />
        ))}
      </svg>
      <details className="pt-1">
        <summary id={id} className="min-h-12 font-label font-bold dense:min-h-9">
          {label} as a table
        </summary>
        <table className="w-full">
          <thead>
            <tr className="rule-below text-left">
              <th className="py-1 font-label">Day</th>
              <th className="py-1 text-right font-label">{unit}</th>
              <th className="py-1 pl-6 font-label">In the line</th>
            </tr>
          </thead>
          <tbody>
            {points.map((point) => (
              <tr key={`${point.day}-${point.value}`} className="rule-below">
                <td className="py-1">{spokenDate(point.day)}</td>
                <td className="py-1 text-right">{point.value}</td>
                <td className="py-1 pl-6">{point.counts ? 'yes' : 'no: charge or conditions unsaid'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </figure>
  )
}
