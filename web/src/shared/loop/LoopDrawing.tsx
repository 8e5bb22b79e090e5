import type { Loop, LoopSpan } from '../api/types'
import { useRoom } from '../ui/useRoom'
import { VerdictMark } from '../ui/VerdictMark'
import { layOut, type LoopLayout, type Spot } from './layout'
import { Stretch } from './Stretch'
import { TONE } from './tone'

/** A label above or below its dot, or beside it where the loop stands; long ones break at the comma. */
function PlaceLabel({ spot, side, vertical }: { spot: Spot; side: 'feed' | 'back'; vertical: boolean }) {
  const lines = spot.place.label.split(', ')
  const up = side === 'feed' ? -14 - (lines.length - 1) * 18 : 28
  const x = vertical ? spot.at.x + (side === 'feed' ? 16 : -16) : spot.at.x
  const y = vertical ? spot.at.y + 5 : spot.at.y + up
  const anchor = vertical ? (side === 'feed' ? 'start' : 'end') : 'middle'
  return (
    <text x={x} y={y} textAnchor={anchor} className="fill-quiet font-label text-base">
      {lines.map((line, index) => (
        <tspan key={line} x={x} dy={index === 0 ? 0 : 18}>
          {line}
        </tspan>
      ))}
    </text>
  )
}

function Side({ spots, side, vertical }: { spots: Spot[]; side: 'feed' | 'back'; vertical: boolean }) {
  return (
    <>
      {spots.map((spot) => (
        <Stretch key={spot.place.place} spot={spot} side={side} vertical={vertical} />
      ))}
      {spots.map((spot) => (
        <g key={spot.place.place}>
          <circle
            cx={spot.at.x}
            cy={spot.at.y}
            r="5.5"
            className={`fill-ground ${side === 'feed' ? 'stroke-copper' : 'stroke-graphite'}`}
            strokeWidth="3"
          />
          <PlaceLabel spot={spot} side={side} vertical={vertical} />
        </g>
      ))}
    </>
  )
}

function Battery({ layout, livePositive }: { layout: LoopLayout; livePositive: boolean }) {
  const [plus, minus] = layout.battery
  const middle = { x: (plus.x + minus.x) / 2, y: (plus.y + minus.y) / 2 }
  // The long plate is the positive one, whichever of them feeds.
  const [live, other] = livePositive ? [20, 11] : [11, 20]
  const plates = layout.vertical
    ? `M${middle.x - 8} ${middle.y - live}v${2 * live}M${middle.x + 8} ${middle.y - other}v${2 * other}`
    : `M${middle.x - live} ${middle.y - 8}h${2 * live}M${middle.x - other} ${middle.y + 8}h${2 * other}`
  const first = layout.feed[0]
  const last = layout.back.at(-1)
  return (
    <g fill="none" strokeWidth="3">
      {first && (
        <path
          className="stroke-copper"
          d={
            layout.vertical
              ? `M${middle.x - 8} ${plus.y}H${plus.x}V${first.at.y}`
              : `M${plus.x} ${middle.y - 8}V${plus.y}H${first.at.x}`
          }
        />
      )}
      {last && (
        <path
          className="stroke-graphite"
          d={
            layout.vertical
              ? `M${middle.x + 8} ${minus.y}H${minus.x}V${last.at.y}`
              : `M${minus.x} ${middle.y + 8}V${minus.y}H${last.at.x}`
          }
        />
      )}
      <path d={plates} className="stroke-ink" />
    </g>
  )
}

function Load({ layout, name }: { layout: LoopLayout; name: string }) {
  const { x, y, width, height } = layout.load
  const into = layout.feed.at(-1)?.at
  const out = layout.back[0]?.at
  const across = x + width / 2
  return (
    <g fill="none" strokeWidth="3">
      {into && (
        <path
          className="stroke-copper"
          d={layout.vertical ? `M${into.x} ${into.y}V${y + height / 2}H${x}` : `M${into.x} ${into.y}H${across}V${y}`}
        />
      )}
      {out && (
        <path
          className="stroke-graphite"
          d={
            layout.vertical
              ? `M${out.x} ${out.y}V${y + height / 2}H${x + width}`
              : `M${out.x} ${out.y}H${across}V${y + height}`
          }
        />
      )}
      <rect x={x} y={y} width={width} height={height} className="fill-ground stroke-ink" strokeWidth="2" />
      <text
        x={across}
        y={y + height / 2 + 6}
        textAnchor="middle"
        className="fill-ink stroke-none font-label text-lead font-bold"
      >
        {name}
      </text>
    </g>
  )
}

const WHOLE_SIDES: Record<string, 'feed' | 'back'> = { positive_drop: 'feed', ground_drop: 'back' }

/** The drop over a whole side, written inside the loop beside the side it belongs to. */
function Whole({ span, layout }: { span: LoopSpan; layout: LoopLayout }) {
  const side = WHOLE_SIDES[span.test_key ?? '']
  if (!side || !span.reading) return null
  const x = layout.vertical ? layout.width / 2 : (layout.width - 50) / 2
  const y = layout.vertical ? (side === 'feed' ? 62 : 96) : side === 'feed' ? 138 : 170
  const tone = span.reading.verdict ? TONE[span.reading.verdict] : 'fill-ink'
  return (
    <text x={x} y={y} textAnchor="middle" className={`font-label text-base ${tone}`}>
      {span.label} <tspan className="font-figure text-reading font-semibold">{span.reading.spoken}</tspan>{' '}
      {span.reading.verdict}
    </text>
  )
}

function inWords(loop: Loop): string {
  const spans = [...loop.feed, ...loop.return].flatMap((place) =>
    place.stretch?.reading
      ? [`${place.stretch.label} ${place.stretch.reading.spoken} ${place.stretch.reading.verdict ?? ''}`]
      : [],
  )
  return `${loop.label}: ${spans.length > 0 ? spans.join('; ') : 'no drops measured along it yet'}`
}

/** A circuit as the loop it is: feed in copper, return in graphite, a failing stretch with a gap. */
export function LoopDrawing({ loop }: { loop: Loop }) {
  const [figure, room] = useRoom<HTMLElement>()
  const layout = layOut(loop, room)
  const points = [...loop.wholes, ...loop.signals].filter((span) => span.reading && !WHOLE_SIDES[span.test_key ?? ''])
  return (
    <figure ref={figure}>
      <figcaption className="font-label text-lead font-bold">{loop.label}</figcaption>
      <svg width={layout.width} height={layout.height} role="img" aria-label={inWords(loop)}>
        <Battery layout={layout} livePositive={loop.live_positive} />
        <Load layout={layout} name={loop.load} />
        <Side spots={layout.feed} side="feed" vertical={layout.vertical} />
        <Side spots={layout.back} side="back" vertical={layout.vertical} />
        {loop.wholes.map((span) => (
          <Whole key={span.test_key} span={span} layout={layout} />
        ))}
      </svg>
      {points.length > 0 && (
        <ul className="flex flex-wrap gap-x-6 gap-y-1">
          {points.map((span) => (
            <li key={span.test_key} className="flex items-center gap-2">
              {span.reading?.verdict && <VerdictMark verdict={span.reading.verdict} word={false} />}
              <span className="font-label text-quiet">{span.label}</span>
              <span className="text-lead font-semibold">{span.reading?.spoken}</span>
            </li>
          ))}
        </ul>
      )}
    </figure>
  )
}
