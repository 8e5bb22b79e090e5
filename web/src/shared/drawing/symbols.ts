// One home for the signs of components: the program that draws sheets has them as data, and what is drawn here takes them from there.
import { battery } from '../../../../drawing/lib/symbols/battery.js'
import { plain } from '../../../../drawing/lib/symbols/boxes.js'
import { joint } from '../../../../drawing/lib/symbols/joint.js'
import { load } from '../../../../drawing/lib/symbols/load.js'
import type { PicturePart } from '../api/drawing'

const SYMBOLS = { battery, load, joint, alternator: plain }

export interface Pin {
  name: string
  side: 'top' | 'bottom'
  /** Within the part. */
  x: number
}

/** A part of no sheet, drawn with the sign of its kind. */
export function signOf(
  kind: keyof typeof SYMBOLS,
  id: string,
  { x, y, width, height }: { x: number; y: number; width: number; height: number },
  pins: Pin[] = [],
): PicturePart {
  const placed = pins.map((pin) => ({
    ...pin,
    pin: `${id}:${pin.name}`,
    from: pin.x,
    to: pin.x,
    y: pin.side === 'top' ? 0 : height,
  }))
  const drawn = SYMBOLS[kind].draw({
    width,
    height,
    id,
    kind,
    title: id,
    label: '',
    top: undefined,
    pins: placed,
    ports: [],
  })
  return {
    id,
    part: id,
    uuid: null,
    zone: null,
    kind,
    sheet: null,
    at: null,
    own: false,
    x,
    y,
    width,
    height,
    shapes: drawn.shapes,
    words: drawn.words,
    label: null,
    pins: placed,
    ports: [],
  }
}
