import { wordsOf } from '../labels/place.js'
import { SIZE, widthOf } from '../text.js'

/** @typedef {import('../types.js').DrawnPart} DrawnPart */
/** @typedef {import('../types.js').DrawnWire} DrawnWire */

const BAR = 18
const HANG = 70
const LEFT = 30
const BETWEEN = 30

/**
 * Straps from metal to metal, in a strip below the picture: the body that most straps end on as a rail at its foot, the others above it.
 *
 * @param {import('../types.js').PictureBrief} brief
 * @param {number} top where the strip begins
 * @returns {{ width: number, height: number, parts: DrawnPart[], wires: DrawnWire[] }}
 */
export function strip(brief, top) {
  if (brief.straps.length === 0) return { width: 0, height: 0, parts: [], wires: [] }
  /** @type {DrawnPart[]} */
  const parts = []
  /** @type {DrawnWire[]} */
  const wires = []
  let width = LEFT
  let y = top + 20
  // Bodies that no strap joins to the first ones have a strip of their own.
  let left = [...brief.straps]
  while (left.length > 0) {
    const foot = mostOf(left)
    const here = left.filter((strap) => [strap.from, strap.to].includes(foot))
    left = left.filter((strap) => !here.includes(strap))
    let x = LEFT
    for (const other of [...new Set(here.map((strap) => (strap.from === foot ? strap.to : strap.from)))]) {
      const mine = here.filter((strap) => [strap.from, strap.to].includes(other))
      const words = mine.map((strap) => wordsOf(drawn(brief, strap, [])))
      const rooms = words.map((text) => widthOf(text, SIZE.wire) + 30)
      const bar = Math.max(widthOf(other, SIZE.name) + 20, rooms.reduce((sum, room) => sum + room, 0) + 12)
      parts.push(body(brief, other, x, y, bar))
      let at = x + 16
      mine.forEach((strap, index) => {
        const wire = drawn(brief, strap, [
          [at, y + BAR],
          [at, y + BAR + HANG],
        ])
        wire.label = {
          x: at + 6,
          y: y + BAR + HANG / 2 - 7,
          width: (rooms[index] ?? 0) - 26,
          height: 14,
          lines: [words[index] ?? ''],
          turned: false,
        }
        wires.push(wire)
        at += rooms[index] ?? 0
      })
      x += bar + BETWEEN
    }
    parts.push(body(brief, foot, LEFT, y + BAR + HANG, x - BETWEEN - LEFT))
    width = Math.max(width, x - BETWEEN + LEFT)
    y += 2 * BAR + HANG + 24
  }
  return { width, height: y - top, parts, wires }
}

/** @param {import('../types.js').Strap[]} straps */
function mostOf(straps) {
  const ends = straps.flatMap((strap) => [strap.from, strap.to])
  const count = (/** @type {string} */ id) => ends.filter((end) => end === id).length
  return [...new Set(ends)].sort((one, other) => count(other) - count(one) || one.localeCompare(other))[0] ?? ''
}

/**
 * @param {import('../types.js').PictureBrief} brief @param {import('../types.js').Strap} strap
 * @param {import('../types.js').Point[]} points
 * @returns {DrawnWire}
 */
function drawn(brief, strap, points) {
  const facts = brief.wires[strap.wire]
  return {
    wire: strap.wire,
    number: facts?.number ?? '',
    colour: facts?.colour ?? null,
    thick: facts?.thick ?? false,
    points,
    label: null,
  }
}

/** @param {import('../types.js').PictureBrief} brief @param {string} id @param {number} x @param {number} y @param {number} width @returns {DrawnPart} */
const body = (brief, id, x, y, width) => ({
  id: `${id}@strip${y}`,
  part: id,
  uuid: brief.bodies[id]?.uuid ?? null,
  zone: null,
  kind: 'body',
  sheet: null,
  at: null,
  x,
  y,
  width,
  height: BAR,
  shapes: [{ d: `M0 0h${width}v${BAR}h${-width}Z`, look: 'fill' }],
  words: [{ x: 8, y: 13, text: id, anchor: 'start', look: 'pin' }],
  label: null,
  pins: [{ pin: `${id}:metal`, name: id, side: 'top', x: width / 2, from: 0, to: width, y: 0 }],
  ports: [],
})
