import { memo } from 'react'
import type { PictureWire } from '../api/drawing'

const LINE = 13
/** From the top of a line to where its letters stand. */
const BASE = 10.5

/** Number and colour of a wire beside it, or what it is at in the same room. */
export const WireWords = memo(function WireWords({
  wire,
  words,
  dim,
}: {
  wire: PictureWire
  words: string | null
  dim: boolean
}) {
  const label = wire.label
  if (!label) return null
  const lines =
    words === null ? label.lines : label.lines.length > 1 ? [wire.number, words] : [`${wire.number} ${words}`]
  return (
    <g
      data-wire-words={wire.number}
      className={`pointer-events-none fill-ink ${dim ? 'opacity-25' : ''}`}
      fontSize="12.5"
      fontWeight="500"
      transform={
        label.turned
          ? `translate(${label.x} ${label.y + label.height - 2}) rotate(-90)`
          : `translate(${label.x + 2} ${label.y})`
      }
    >
      {lines.map((line, index) => (
        <text
          key={index}
          y={BASE + LINE * index}
          textDecoration={wire.own ? 'underline' : undefined}
          className="words-over-lines"
        >
          {line}
        </text>
      ))}
    </g>
  )
})
