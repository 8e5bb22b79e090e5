import { memo } from 'react'
import type { PicturePart } from '../api/drawing'
import type { PartLook } from './looks'

const LINE = 14

const LOOK: Record<PicturePart['shapes'][number]['look'], { className: string; width?: number }> = {
  outline: { className: 'fill-sheet stroke-ink', width: 1.6 },
  line: { className: 'fill-none stroke-ink', width: 1.4 },
  bold: { className: 'fill-none stroke-ink', width: 3 },
  fill: { className: 'fill-ink' },
  shade: { className: 'fill-shade stroke-ink', width: 1.6 },
}
const RING: Record<NonNullable<PartLook['mark']>, string> = {
  dead: 'stroke-quiet',
  open: 'stroke-act',
  live: 'stroke-act',
  marked: 'stroke-watch',
}
const SAID: Partial<Record<NonNullable<PartLook['mark']>, string>> = { dead: 'dead', open: 'open', live: 'LIVE' }
const TONE: Record<NonNullable<PartLook['mark']>, string> = {
  dead: 'fill-quiet',
  open: 'fill-act',
  live: 'fill-act',
  marked: 'fill-watch',
}

interface Props {
  part: PicturePart
  shade: PartLook['shade']
  mark: PartLook['mark']
  /** Notes, one a line. */
  notes: string
  onTap: (part: PicturePart) => void
}

/** A part: its outline, the names of its pins, its words beside it, and what is said of it just now. */
export const Part = memo(function Part({ part, shade, mark, notes, onTap }: Props) {
  const { x, y, width, height, label } = part
  const body = part.kind === 'body'
  const faded = shade === 'dim' ? 'opacity-30' : mark === 'dead' ? 'opacity-45' : ''
  const said = [mark && SAID[mark], ...notes.split('\n')].filter(Boolean)
  const lines = label?.lines ?? []
  // What is said of it stands under its words; a part without words says it at its right.
  const under = label ? { x: label.x + 3, y: label.y + LINE * lines.length } : { x: x + width + 6, y: y + 2 }
  return (
    <g
      data-part={part.part ?? part.id}
      data-mark={mark}
      data-shade={shade}
      className="cursor-pointer"
      onClick={() => {
        onTap(part)
      }}
    >
      <g transform={`translate(${x} ${y})`} className={faded}>
        {part.shapes.map((shape, index) => (
          <path key={index} d={shape.d} className={LOOK[shape.look].className} strokeWidth={LOOK[shape.look].width} />
        ))}
        {part.words.map((word, index) => (
          <text
            key={index}
            x={word.x}
            y={word.y}
            textAnchor={word.anchor}
            fontSize={word.look === 'name' ? 13 : 11.5}
            fontWeight={word.look === 'name' ? 700 : 500}
            textDecoration={part.own && word.look === 'name' ? 'underline' : undefined}
            className={body ? 'fill-ground' : 'fill-ink'}
          >
            {word.text}
          </text>
        ))}
      </g>
      {mark && (
        <rect
          x={x - 5}
          y={y - 5}
          width={width + 10}
          height={height + 10}
          rx="6"
          fill="none"
          strokeWidth="2.5"
          strokeDasharray={mark === 'dead' ? '4 4' : undefined}
          className={RING[mark]}
        />
      )}
      <g fontSize="13" className={shade === 'dim' ? 'opacity-40' : ''}>
        {lines.map((line, index) => (
          <text
            key={index}
            x={(label?.x ?? 0) + 3}
            y={(label?.y ?? 0) + LINE * index + 11}
            fontWeight={index === 0 ? 700 : 500}
            textDecoration={part.own ? 'underline' : undefined}
            className="fill-ink"
          >
            {line}
          </text>
        ))}
        {mark &&
          said.map((line, index) => (
            <text
              key={index}
              x={under.x}
              y={under.y + LINE * index + 11}
              fontWeight="700"
              className={`words-over-lines ${TONE[mark]}`}
            >
              {line}
            </text>
          ))}
      </g>
    </g>
  )
})
