import { memo } from 'react'
import type { Picture, PicturePart } from '../api/drawing'
import type { Looks } from './looks'
import { Notes } from './Notes'
import { Part } from './Part'
import { Pins } from './Pins'
import { Wire } from './Wire'
import { WireWords } from './WireWords'

interface Taps {
  onWire: (number: string) => void
  onPin: (pin: string) => void
  onPart: (part: PicturePart) => void
}

interface Props extends Taps {
  picture: Picture
  looks: Looks
  pin: string | null
}

/** Everything on one picture: zones behind, wires, parts, words, and what can be tapped in front. */
export const Sheet = memo(function Sheet({ picture, looks, pin, onWire, onPin, onPart }: Props) {
  return (
    <>
      {picture.zones.map((zone, index) => (
        <g key={index}>
          <rect x={zone.x} y={zone.y} width={zone.width} height={zone.height} rx="8" className="fill-zone" />
          {zone.label_at && (
            <text x={zone.label_at[0]} y={zone.label_at[1]} fontSize="11.5" className="fill-quiet">
              {zone.label}
            </text>
          )}
        </g>
      ))}
      {picture.wires.map((wire, index) => {
        const { shade, stands } = looks.wire(wire.wire)
        return <Wire key={wire.wire ?? index} {...{ wire, shade, stands }} onTap={onWire} />
      })}
      {picture.parts.map((part) => {
        const { shade, mark } = looks.part(part.part)
        return <Part key={part.id} {...{ part, shade, mark }} onTap={onPart} />
      })}
      {picture.wires.map((wire, index) => {
        const { shade, words } = looks.wire(wire.wire)
        return <WireWords key={wire.wire ?? index} wire={wire} words={words} dim={shade === 'dim'} />
      })}
      {picture.parts.map((part) => {
        const { mark, notes } = looks.part(part.part)
        return mark && <Notes key={part.id} {...{ part, mark }} notes={notes.join('\n')} />
      })}
      {picture.parts.map((part) => (
        <Pins key={part.id} part={part} chosen={part.pins.some((one) => one.pin === pin) ? pin : null} onPin={onPin} />
      ))}
    </>
  )
})
