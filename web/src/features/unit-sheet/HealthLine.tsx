import type { UnitSheet } from '../../shared/api/types'
import { outlookWords } from '../../shared/battery/outlook'

type Outlook = NonNullable<UnitSheet['batteries'][number]['outlook']>

const WIDTH = 320
const HEIGHT = 64
const LOW = 50
const HIGH = 110

/** Health over time against the replacement limit, and when the line will cross it. */
export function HealthLine({ outlook }: { outlook: Outlook }) {
  const { points, missing, limit_percent: limit } = outlook
  const counting = points.filter((point) => point.counts)
  if (points.length < 2) return missing ? <p className="pt-1 text-quiet">{outlookWords(outlook)}.</p> : null

  const days = points.map((point) => new Date(point.day).getTime())
  const first = Math.min(...days)
  const span = Math.max(...days) - first || 1
  const x = (day: string) => 6 + ((new Date(day).getTime() - first) / span) * (WIDTH - 12)
  const y = (percent: number) => HEIGHT - ((percent - LOW) / (HIGH - LOW)) * HEIGHT
  return (
    <figure className="flex flex-wrap items-center gap-x-4 pt-2">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="h-16 w-full max-w-80"
        role="img"
        aria-label={`Health: ${points.map((point) => `${point.day} ${point.health_percent} %`).join(', ')}. Limit ${limit} %.`}
      >
        <path d={`M0 ${y(limit)}H${WIDTH}`} className="stroke-act" strokeWidth="1.5" strokeDasharray="6 4" />
        <path
          d={`M${counting.map((point) => `${x(point.day)} ${y(point.health_percent)}`).join('L')}`}
          className="fill-none stroke-ink"
          strokeWidth="2"
        />
        {points.map((point) => (
          <circle
            key={point.day}
            cx={x(point.day)}
            cy={y(point.health_percent)}
            r="3.5"
            className={point.counts ? 'fill-ink' : 'fill-ground stroke-ink'}
          />
        ))}
      </svg>
      <figcaption className="text-quiet">
        {points.at(-1)?.health_percent} % of its label. {outlookWords(outlook)}.
      </figcaption>
    </figure>
  )
}
