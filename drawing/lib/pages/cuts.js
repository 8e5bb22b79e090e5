import { boxOf, runsOf } from '../wires.js'
import { roomsOf } from './flags.js'

/** Room for the drawing on each paper in mm: margins and the head of a page are off. */
export const PAPERS = {
  a4: { width: 277, height: 180 },
  a4_upright: { width: 190, height: 267 },
  a3: { width: 400, height: 267 },
  a3_upright: { width: 277, height: 390 },
}
/** Never larger than this: a small sheet would look like a poster. mm a unit. */
const MOST = 0.24
const STEP = 4
const COST = { wire: 1, box: 200, label: 1.5, page: 6 }
/** Shrunk by so much at most where that saves a page. */
const SHRINK = 0.98

/** @typedef {{ width: number, height: number, parts: import('../types.js').DrawnPart[], wires: import('../types.js').DrawnWire[] }} Picture */

/**
 * Where a picture is cut into pages of each paper: through as few wires as can be, through no outline.
 *
 * @param {Picture} picture
 * @returns {import('../types.js').Picture['cuts']}
 */
export const cutsOf = (picture) =>
  Object.fromEntries(
    Object.entries(PAPERS).map(([name, paper]) => {
      const full = Math.min(paper.width / picture.width, MOST)
      const [scale, pages] = [full, full * SHRINK]
        .map((scale) => /** @type {const} */ ([scale, pagesOf(picture, paper.height, scale)]))
        .reduce((one, other) => (other[1].length < one[1].length ? other : one))
      return [name, { scale, pages }]
    }),
  )

/** @param {Picture} picture @param {number} height of the paper in mm @param {number} scale */
const pagesOf = (picture, height, scale) =>
  picture.height * scale <= height
    ? [{ top: 0, bottom: picture.height, above: 0, below: 0 }]
    : cut(picture, height / scale)

/**
 * By dynamic programming over where the cuts may lie. Flags at the ends of cut wires say where they go on: each cut takes as much from both of its
 * pages as its longest flag is.
 *
 * @param {Picture} picture @param {number} most height of a page in units of the drawing
 */
function cut(picture, most) {
  const prices = pricesOf(picture)
  const last = prices.length - 1
  const rooms = roomsOf(picture, STEP).map((room, at) => (at === 0 || at === last ? 0 : room))
  const room = (/** @type {number} */ at) => rooms[at] ?? 0
  /** @type {{ cost: number, from: number }[]} */
  const best = [{ cost: 0, from: 0 }]
  for (let to = 1; to <= last; to += 1) {
    best[to] = { cost: Infinity, from: to - 1 }
    for (let from = to - 1; from >= 0 && (to - from) * STEP <= most - room(to); from -= 1) {
      if ((to - from) * STEP > most - room(to) - room(from)) continue
      const cost = (best[from]?.cost ?? Infinity) + COST.page + (to === last ? 0 : (prices[to] ?? 0))
      if (cost < (best[to]?.cost ?? Infinity)) best[to] = { cost, from }
    }
  }
  const pages = []
  for (let to = last; to > 0; to = best[to]?.from ?? 0) {
    const from = best[to]?.from ?? 0
    pages.unshift({ top: from * STEP, bottom: Math.min(picture.height, to * STEP), above: room(from), below: room(to) })
  }
  return pages
}

/** What a cut costs at each height. @param {Picture} picture */
function pricesOf(picture) {
  const prices = new Array(Math.ceil(picture.height / STEP) + 1).fill(0)
  const charge = (/** @type {import('../types.js').Box} */ box, /** @type {number} */ price) => {
    for (let at = Math.ceil(box.y / STEP); at * STEP <= box.y + box.height; at += 1) prices[at] += price
  }
  for (const part of picture.parts) {
    charge(part, COST.box)
    if (part.label) charge(part.label, COST.box)
  }
  for (const [index, wire] of picture.wires.entries()) {
    for (const run of runsOf(wire, index)) charge(boxOf(run, 2), run.upright ? COST.wire : 3 * COST.wire)
    if (wire.label) charge(wire.label, COST.label)
  }
  return prices
}
