import { scaleLinear } from 'd3-scale'
import { line } from 'd3-shape'
import { useFrame } from '../../shared/chart/useFrame'
import type { components } from '../../shared/api/schema'

type Mark = NonNullable<components['schemas']['SumAnswer']['marks']>[number]

const HEIGHT = 280
const LEFT = 48
const RIGHT = 16
const TOP = 16
const BOTTOM = 44
const LABEL = 60
const figure = (value: number) => String(Math.round(value * 10) / 10)

/** What a gauge shows against what is true, with the error at each mark; the line it should follow beside it, and the table behind it. */
export function MarksChart({ marks }: { marks: Mark[] }) {
  const { element, width, ticks } = useFrame(LABEL, 9)
  const low = marks[0]?.true_mark ?? 0
  const high = marks.at(-1)?.true_mark ?? 1
  const shown = marks.map((mark) => mark.shown)
  const x = scaleLinear([low, high], [LEFT, width - RIGHT])
  const y = scaleLinear([Math.min(low, ...shown), Math.max(high, ...shown)], [HEIGHT - BOTTOM, TOP])
  const needle = line<Mark>(
    (mark) => x(mark.true_mark),
    (mark) => y(mark.shown),
  )(marks)
  return (
    <figure ref={element} className="pt-2">
      <svg viewBox={`0 0 ${width} ${HEIGHT}`} className="w-full" role="img" aria-label="Shown against true, a line through every mark">
        {y.ticks(5).map((tick) => (
          <g key={tick}>
            <path d={`M${LEFT} ${y(tick)} H${width - RIGHT}`} className="stroke-quiet" strokeWidth="0.5" />
            <text x={LEFT - 8} y={y(tick) + 5} textAnchor="end" className="fill-quiet text-base">{figure(tick)}</text>
          </g>
        ))}
        {x.ticks(ticks).map((tick) => (
          <text key={tick} x={x(tick)} y={HEIGHT - BOTTOM + 22} textAnchor="middle" className="fill-quiet text-base">{figure(tick)}</text>
        ))}
        <path d={`M${x(low)} ${y(low)} L${x(high)} ${y(high)}`} className="fill-none stroke-quiet" strokeWidth="2" strokeDasharray="3 5" />
        {marks.map((mark) => (
          <path key={mark.true_mark} d={`M${x(mark.true_mark)} ${y(mark.true_mark)} V${y(mark.shown)}`} className="stroke-act" strokeWidth="1.5" />
        ))}
        <path d={needle ?? ''} className="fill-none stroke-copper" strokeWidth="3" />
        {marks.map((mark) => (
          <circle key={mark.true_mark} cx={x(mark.true_mark)} cy={y(mark.shown)} r="4" className="fill-copper" />
        ))}
        <text x={width - RIGHT} y={HEIGHT - 4} textAnchor="end" className="fill-quiet text-base">true</text>
      </svg>
      <figcaption className="text-quiet">Copper: what the needle shows. Dotted: what it should. The error stands between them.</figcaption>
      <table className="mt-2 w-full text-left">
        <thead>
          <tr className="rule-below text-quiet">
            {['True', 'Sender, Ω', 'Shown', 'Off by'].map((head) => <th key={head} className="py-1 font-medium">{head}</th>)}
          </tr>
        </thead>
        <tbody>
          {marks.map((mark) => (
            <tr key={mark.true_mark} className="rule-below tabular-nums">
              {[mark.true_mark, mark.ohm, mark.shown, mark.shown - mark.true_mark].map((value, index) => (
                <td key={index} className="py-1">{figure(value)}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </figure>
  ) // prettier-ignore
}
