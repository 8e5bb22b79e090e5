import type { Spot } from './layout'
import { TONE } from './tone'

const GAP = 13

/** The stroke between two places, with a gap where it fails, and the last reading over it. */
export function Stretch({ spot, side, vertical }: { spot: Spot; side: 'feed' | 'back'; vertical: boolean }) {
  const { at, next, middle, place } = spot
  if (!next || !middle) return null

  const reading = place.stretch?.reading
  const verdict = reading?.verdict ?? null
  const colour = side === 'feed' ? 'stroke-copper' : 'stroke-graphite'
  const gap = verdict === 'act'
  const along = vertical ? { x: 0, y: Math.sign(next.y - at.y) * GAP } : { x: Math.sign(next.x - at.x) * GAP, y: 0 }
  const inward = vertical ? (side === 'feed' ? 16 : -16) : side === 'feed' ? 30 : -14
  return (
    <g>
      {gap ? (
        <g className={colour} strokeWidth="3">
          <path d={`M${at.x} ${at.y}L${middle.x - along.x} ${middle.y - along.y}`} />
          <path d={`M${middle.x + along.x} ${middle.y + along.y}L${next.x} ${next.y}`} />
        </g>
      ) : (
        <path d={`M${at.x} ${at.y}L${next.x} ${next.y}`} className={colour} strokeWidth="3" />
      )}
      {!gap && (
        <rect
          x={middle.x - 4.5}
          y={middle.y - 4.5}
          width="9"
          height="9"
          className={`fill-ground ${colour}`}
          strokeWidth="2"
        />
      )}
      {reading && (
        <text
          x={vertical ? middle.x + inward : middle.x}
          y={vertical ? middle.y + 6 : middle.y + inward}
          textAnchor={vertical ? (side === 'feed' ? 'start' : 'end') : 'middle'}
          className={`text-reading font-semibold ${verdict ? TONE[verdict] : 'fill-ink'}`}
        >
          {reading.spoken}
        </text>
      )}
    </g>
  )
}
