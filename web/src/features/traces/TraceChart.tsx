import { scaleLinear } from 'd3-scale'
import { line } from 'd3-shape'
import { useId } from 'react'
import type { Curve, Trace } from '../../shared/api/traces'
import { useFrame } from '../../shared/chart/useFrame'
import { signed } from '../../shared/quantities/signed'

const HEIGHT = 360
/** Pixels that a label on the time line takes, at least. */
const LABEL = 80
const LEFT = 52
const RIGHT = 64
const TOP = 18
const BOTTOM = 38
/** Seconds shown before the starter bites and after it lets go. */
const AROUND_SECOND = 1

type Stretch = Curve[number]

/** As far as it goes either way: a stretch is drawn from its least to its most. */
const both = (stretch: Stretch): [number, number][] =>
  stretch.low === null || stretch.high === null
    ? [[stretch.second, Number.NaN]]
    : [
        [stretch.second, stretch.low],
        [stretch.second, stretch.high],
      ]

const drawn = line().defined(([, value]) => !Number.isNaN(value))

function figure(trace: Trace, key: string) {
  return trace.figures.find((one) => one.key === key)?.spoken
}

/** A start as it was recorded: posts and current over time, what was found in them marked, the last sound start behind. */
export function TraceChart({ trace }: { trace: Trace }) {
  const id = useId()
  const { element, width, ticks } = useFrame(LABEL, 7)
  const { marks, curve, before } = trace
  const [from, to] = [Math.max(0, marks.from - AROUND_SECOND), marks.to + AROUND_SECOND]
  const seen = (stretch: Stretch) => stretch.second >= from && stretch.second <= to
  const here = curve.filter(seen)
  const shift = before ? marks.from - before.from_second : 0
  const then = (before?.curve ?? []).map((one) => ({ ...one, second: one.second + shift })).filter(seen)
  const volts = [...here, ...then].flatMap((one) => (one.low === null ? [] : [one.low, one.high ?? one.low]))
  const flows = here.flatMap((one) => (one.ampere === null ? [] : [one.ampere]))
  const x = scaleLinear([from, Math.min(to, here.at(-1)?.second ?? to)], [LEFT, width - RIGHT])
  const y = scaleLinear([Math.min(...volts, 0), Math.max(...volts)], [HEIGHT - BOTTOM, TOP]).nice(ticks)
  const z = scaleLinear([0, Math.max(...flows, 1) * 1.05], [HEIGHT - BOTTOM, TOP]).nice(ticks)
  const posts = (stretches: Stretch[]) => drawn(stretches.flatMap(both).map(([second, volt]) => [x(second), y(volt)]))
  const current = drawn(here.map((one) => [x(one.second), one.ampere === null ? Number.NaN : z(one.ampere)]))
  const hasVolts = volts.length > 0
  const hasFlow = flows.length > 0
  const label = (second: number) => signed((second - marks.from).toFixed(1))
  const lowest = marks.lowest === null ? undefined : here.find((one) => one.second >= (marks.lowest ?? 0))
  return (
    <figure ref={element} aria-labelledby={id}>
      <svg
        viewBox={`0 0 ${width} ${HEIGHT}`}
        className="w-full"
        role="img"
        aria-label="Posts and current over the seconds of the start, the table beside says the same"
      >
        {marks.settled && (
          <rect
            x={x(marks.settled[0] ?? 0)}
            y={TOP}
            width={Math.max(x(marks.settled[1] ?? 0) - x(marks.settled[0] ?? 0), 1)}
            height={HEIGHT - BOTTOM - TOP}
            className="fill-hair/40"
          />
        )}
        {(hasVolts ? y : z).ticks(ticks).map((tick) => (
          <path key={tick} d={`M${LEFT} ${(hasVolts ? y : z)(tick)}H${width - RIGHT}`} className="stroke-hair" />
        ))}
        {hasVolts &&
          y.ticks(ticks).map((tick) => (
            <text key={tick} x={LEFT - 8} y={y(tick) + 5} textAnchor="end" className="fill-ink text-[16px]">
              {tick} V
            </text>
          ))}
        {hasFlow &&
          z.ticks(ticks).map((tick) => (
            <text key={tick} x={width - RIGHT + 8} y={z(tick) + 5} className="fill-copper text-[16px]">
              {tick} A
            </text>
          ))}
        {x.ticks(ticks).map((tick) => (
          <text key={tick} x={x(tick)} y={HEIGHT - 12} textAnchor="middle" className="fill-quiet text-[16px]">
            {label(tick)} s
          </text>
        ))}
        <path d={posts(then) ?? ''} className="fill-none stroke-quiet/50" strokeWidth="1.5" />
        {hasFlow && <path d={current ?? ''} className="fill-none stroke-copper" strokeWidth="1.5" />}
        <path d={posts(here) ?? ''} className="fill-none stroke-ink" strokeWidth="2" />
        {lowest?.low != null && (
          <g>
            <circle cx={x(lowest.second)} cy={y(lowest.low)} r="6" strokeWidth="2" className="fill-ground stroke-ink" />
            <text x={x(lowest.second) + 12} y={y(lowest.low) + 5} className="fill-ink text-[16px] font-semibold">
              {figure(trace, 'lowest_volt')} as it bites
            </text>
          </g>
        )}
        {marks.settled && (
          <text
            x={(x(marks.settled[0] ?? 0) + x(marks.settled[1] ?? 0)) / 2}
            y={HEIGHT - BOTTOM - 10}
            textAnchor="middle"
            className="fill-ink text-[16px] font-semibold"
          >
            settled:{' '}
            {[figure(trace, 'settled_volt'), figure(trace, 'settled_ampere'), figure(trace, 'rpm')]
              .filter(Boolean)
              .join(', ')}
          </text>
        )}
      </svg>
      <figcaption id={id} className="text-quiet">
        {hasVolts && <span className="text-ink">Posts</span>}
        {hasVolts && hasFlow && ' and '}
        {hasFlow && <span className="text-copper">current</span>} from the bite on
        {before && hasVolts && '; behind them, thin, the posts of its last sound start'}
      </figcaption>
    </figure>
  )
}
