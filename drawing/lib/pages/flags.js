import { widthOf } from '../text.js'
import { runsOf } from '../wires.js'

/** Size of the words at a cut end, and room around them, in units of the drawing. */
const SIZE = 10
const AROUND = 12
/** As long as any number of a page. */
const ON_PAGE = 'p. 888'

/**
 * The room that flags take on either side of a cut, by the height at which it goes through: that of the longest words there.
 *
 * @param {import('./cuts.js').Picture} picture
 * @param {number} step between heights
 * @returns {number[]}
 */
export function roomsOf(picture, step) {
  const rooms = new Array(Math.ceil(picture.height / step) + 1).fill(0)
  const pins = pinsByWire(picture)
  for (const [index, wire] of picture.wires.entries()) {
    if (wire.wire === null) continue
    const room = Math.max(...(pins.get(wire.wire) ?? ['']).map((pin) => roomFor(wire, pin)))
    for (const run of runsOf(wire, index).filter((one) => one.upright))
      for (let at = Math.ceil(run.y / step); at * step <= run.y + run.length; at += 1)
        rooms[at] = Math.max(rooms[at], room)
  }
  return rooms
}

/** @param {import('../types.js').DrawnWire} wire @param {string} pin where it goes on */
const roomFor = (wire, pin) =>
  widthOf([wire.number, wire.colour, pin, ON_PAGE].filter(Boolean).join('  '), SIZE) + AROUND

/** @param {import('./cuts.js').Picture} picture */
function pinsByWire(picture) {
  /** @type {Map<string, string[]>} */
  const pins = new Map()
  for (const { wire, pin } of picture.parts.flatMap((part) => part.ports))
    if (wire && pin) pins.set(wire, [...(pins.get(wire) ?? []), pin])
  return pins
}
