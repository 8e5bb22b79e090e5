import type { Loop, LoopSpan } from '../api/types'
import { Part } from '../drawing/Part'
import { Wire } from '../drawing/Wire'
import { useRoom } from '../ui/useRoom'
import { VerdictMark } from '../ui/VerdictMark'
import { layOut, type LoopLayout, type Spot } from './layout'
import { pictureOf, STANDS } from './picture'
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

const WHOLE_SIDES: Record<string, 'feed' | 'back'> = { positive_drop: 'feed', ground_drop: 'back' }

/** The drop over a whole side, written inside the loop beside the side it belongs to. */
function Whole({ span, layout }: { span: LoopSpan; layout: LoopLayout }) {
  const side = WHOLE_SIDES[span.test_key ?? '']
  if (!side || !span.reading) return null
  const x = layout.vertical ? layout.width / 2 : (layout.width - 50) / 2
  const y = layout.vertical ? (side === 'feed' ? 104 : 132) : side === 'feed' ? 138 : 170
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
  const picture = pictureOf(loop, layout)
  const points = [...loop.wholes, ...loop.signals].filter((span) => span.reading && !WHOLE_SIDES[span.test_key ?? ''])
  return (
    <figure ref={figure} className="overflow-x-auto">
      <figcaption className="font-label text-lead font-bold">{loop.label}</figcaption>
      <svg width={layout.width} height={layout.height} role="img" aria-label={inWords(loop)}>
        {picture.lines.map(({ wire, way }) => (
          <Wire key={wire.number} wire={wire} shade="plain" stands={STANDS[way]} onTap={null} />
        ))}
        <g transform={`translate(${picture.battery.x} ${picture.battery.y}) scale(${picture.battery.scale})`}>
          <Part part={picture.battery.part} shade="plain" mark={null} onTap={null} />
        </g>
        {picture.parts.map((part) => (
          <Part key={part.id} part={part} shade="plain" mark={null} onTap={null} />
        ))}
        <text
          x={layout.vertical ? layout.load.x + layout.load.width / 2 : layout.load.x - 10}
          y={layout.load.y + (layout.vertical ? layout.load.height + 20 : layout.load.height / 2 + 6)}
          textAnchor={layout.vertical ? 'middle' : 'end'}
          className="fill-ink font-label font-bold"
        >
          {loop.load}
        </text>
        {(['feed', 'back'] as const).map((side) =>
          layout[side].map((spot) => (
            <g key={`${side} ${spot.place.place}`}>
              <Stretch spot={spot} side={side} vertical={layout.vertical} />
              <PlaceLabel spot={spot} side={side} vertical={layout.vertical} />
            </g>
          )),
        )}
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
