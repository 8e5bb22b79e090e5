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
const RING: Partial<Record<NonNullable<PartLook['mark']>, string>> = {
  dead: 'stroke-quiet',
  open: 'stroke-act',
  live: 'stroke-act',
  fault: 'stroke-act',
  suspect: 'stroke-watch',
  marked: 'stroke-watch',
}
/** Told by more than its colour. */
const DASHES: Partial<Record<NonNullable<PartLook['mark']>, string>> = { dead: '4 4', suspect: '9 5' }
interface Props {
  part: PicturePart
  shade: PartLook['shade']
  mark: PartLook['mark']
  /** null where nothing is asked of it. */
  onTap: ((part: PicturePart) => void) | null
}

/** A part: its outline, the names of its pins, its words beside it. */
export const Part = memo(function Part({ part, shade, mark, onTap }: Props) {
  const { x, y, width, height, label } = part
  const body = part.kind === 'body'
  const faded = shade === 'dim' ? 'opacity-30' : mark === 'dead' ? 'opacity-45' : ''
  const lines = label?.lines ?? []
  return (
    <g
      data-part={part.part ?? part.id}
      data-mark={mark}
      data-shade={shade}
      className={onTap ? 'cursor-pointer' : ''}
      onClick={() => {
        onTap?.(part)
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
      {mark && RING[mark] && (
        <rect
          x={x - 5}
          y={y - 5}
          width={width + 10}
          height={height + 10}
          rx="6"
          fill="none"
          strokeWidth="2.5"
          strokeDasharray={DASHES[mark]}
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
      </g>
    </g>
  )
})
