import { memo } from 'react'
import type { PicturePart } from '../api/drawing'
import type { PartLook } from './looks'

const LINE = 14
const WIDTH_OF_LETTER = 6.1

const SAID: Partial<Record<NonNullable<PartLook['mark']>, string>> = {
  dead: 'dead',
  open: 'open',
  live: 'LIVE',
  fault: 'at fault',
}
const TONE: Record<NonNullable<PartLook['mark']>, string> = {
  dead: 'fill-quiet',
  open: 'fill-act',
  live: 'fill-act',
  fault: 'fill-act',
  suspect: 'fill-watch',
  marked: 'fill-watch',
  read: 'fill-ink',
}

/** What is said of a part just now: under its words, over whatever else lies there; of a part without words at its right. */
export const Notes = memo(function Notes({
  part,
  mark,
  notes,
}: {
  part: PicturePart
  mark: NonNullable<PartLook['mark']>
  /** One a line. */
  notes: string
}) {
  const { x, y, width, label } = part
  const said = [SAID[mark], ...notes.split('\n')].filter((line) => line !== undefined && line !== '')
  if (said.length === 0) return null
  const under = label ? { x: label.x + 3, y: label.y + LINE * label.lines.length } : { x: x + width + 6, y: y + 2 }
  const longest = Math.max(...said.map((line) => line?.length ?? 0))
  return (
    <g fontSize="13" fontWeight="700" className="pointer-events-none" data-notes={part.part ?? part.id}>
      <rect
        x={under.x - 3}
        y={under.y - 1}
        width={longest * WIDTH_OF_LETTER + 6}
        height={LINE * said.length + 3}
        rx="2"
        className="fill-sheet"
      />
      {said.map((line, index) => (
        <text key={index} x={under.x} y={under.y + LINE * index + 11} className={TONE[mark]}>
          {line}
        </text>
      ))}
    </g>
  )
})
