import { memo } from 'react'
import type { PicturePart } from '../api/drawing'

/** Places to tap on every pin, wide enough for a finger where there is room; the chosen one is ringed. */
export const Pins = memo(function Pins({
  part,
  chosen,
  onPin,
}: {
  part: PicturePart
  chosen: string | null
  onPin: (pin: string) => void
}) {
  return part.pins.map((pin) => {
    const on = pin.pin === chosen
    const up = pin.side === 'top'
    return (
      <g
        key={`${pin.side} ${pin.pin}`}
        data-pin={pin.pin}
        className="cursor-pointer"
        onClick={() => {
          onPin(pin.pin)
        }}
      >
        <rect
          x={part.x + pin.from - 10}
          y={part.y + pin.y - (up ? 8 : 14)}
          width={pin.to - pin.from + 20}
          height="22"
          fill="transparent"
        />
        {on && (
          <circle cx={part.x + pin.x} cy={part.y + pin.y} r="9" fill="none" strokeWidth="3" className="stroke-copper" />
        )}
      </g>
    )
  })
})
