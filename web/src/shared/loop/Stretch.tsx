import type { Spot } from './layout'
import { TONE } from './tone'

/** What was last read over the stretch between two places. */
export function Stretch({ spot, side, vertical }: { spot: Spot; side: 'feed' | 'back'; vertical: boolean }) {
  const { middle, place } = spot
  const reading = place.stretch?.reading
  if (!middle || !reading) return null
  const inward = vertical ? (side === 'feed' ? 16 : -16) : side === 'feed' ? 30 : -14
  return (
    <text
      x={vertical ? middle.x + inward : middle.x}
      y={vertical ? middle.y + 6 : middle.y + inward}
      textAnchor={vertical ? (side === 'feed' ? 'start' : 'end') : 'middle'}
      className={`text-reading font-semibold ${reading.verdict ? TONE[reading.verdict] : 'fill-ink'}`}
    >
      {reading.spoken}
    </text>
  )
}
