import { overlap } from '../boxes.js'
import { boxOf, runsOf } from '../wires.js'
import { alone, along, roomOf, stacked } from './candidates.js'

/** @typedef {import('../types.js').DrawnWire} DrawnWire */
/** @typedef {import('../types.js').Box} Box */
/** @typedef {import('./candidates.js').Candidate} Candidate */

const ON_SOMETHING = 50
const ON_A_WIRE = 8

/** @param {DrawnWire} wire */
export const wordsOf = (wire) => [wire.number, wire.colour].filter(Boolean).join(' ')

/**
 * Puts the words of each wire beside it, the wires with least room first.
 *
 * @param {{ parts: import('../types.js').DrawnPart[], wires: DrawnWire[] }} picture those that have a label keep it
 * @returns {{ bare: number[], crossed: number[], taken: Box[] }} indices of wires that show their number alone, and of those whose words lie on
 *   another wire; where words and outlines stand
 */
export function placeLabels({ parts, wires }) {
  const taken = parts
    .flatMap((part) => [part, ...(part.label ? [part.label] : [])])
    .map(({ x, y, width, height }) => ({ x, y, width, height }))
  const runs = wires.map(runsOf)
  const all = runs.flat().map((run) => ({ wire: run.wire, box: boxOf(run) }))
  for (const [index, wire] of wires.entries()) if (wire.label) taken.push(pull(wire.label, runs[index] ?? []))
  /** @type {number[]} */
  const bare = []
  /** @type {number[]} */
  const crossed = []

  const judged = (/** @type {Candidate[]} */ candidates, /** @type {number} */ index) => {
    /** @type {(Candidate & { boxes: number, lines_hit: number }) | null} */
    let best = null
    for (const one of candidates) {
      if (best && one.cost >= best.cost) continue
      const boxes = taken.filter((box) => overlap(box, one)).length
      const linesHit = all.filter((run) => run.wire !== index && overlap(run.box, one)).length
      const cost = one.cost + boxes * ON_SOMETHING + linesHit * ON_A_WIRE
      if (!best || cost < best.cost) best = { ...one, cost, boxes, lines_hit: linesHit }
    }
    return best
  }
  const cheaper = (/** @type {ReturnType<typeof judged>} */ one, /** @type {ReturnType<typeof judged>} */ other) =>
    other && (!one || other.cost < one.cost) ? other : one

  for (const { wire, index } of leastRoomFirst(wires, runs)) {
    const mine = runs[index] ?? []
    let best = judged(along(mine, wordsOf(wire)), index)
    if ((!best || best.boxes > 0 || best.lines_hit > 0) && wire.colour)
      best = cheaper(best, judged(stacked(mine, [wire.number, wire.colour]), index))
    if (!best || best.boxes > 0 || best.lines_hit > 0) best = cheaper(best, judged(alone(mine, wire.number), index))
    if (!best) continue
    if (wire.colour && best.lines.join(' ') === wire.number) bare.push(index)
    if (best.lines_hit > 0) crossed.push(index)
    const { x, y, width, height, lines, turned } = best
    wire.label = { x, y, width, height, lines, turned }
    taken.push(wire.label)
  }
  return { bare, crossed, taken: [...taken, ...all.map((run) => run.box)] }
}

/** @param {DrawnWire[]} wires @param {import('../wires.js').Run[][]} runs */
function leastRoomFirst(wires, runs) {
  return wires
    .map((wire, index) => ({ wire, index }))
    .filter(({ wire }) => wire.wire !== null && !wire.label)
    .map((one) => ({
      ...one,
      room: Math.max(...(runs[one.index] ?? []).map((run) => run.length)) - roomOf([wordsOf(one.wire)]).long,
    }))
    .sort((one, other) => one.room - other.room)
}

/**
 * The layouter keeps room for words beside the wire, not at it: they are pulled to the run that passes their room.
 *
 * @param {import('../types.js').WireLabel} label @param {import('../wires.js').Run[]} runs
 */
function pull(label, runs) {
  const middle = { x: label.x + label.width / 2, y: label.y + label.height / 2 }
  const [near] = runs
    .filter((run) => run.upright && run.y <= middle.y + 1 && run.y + run.length >= middle.y - 1)
    .sort((one, other) => Math.abs(one.x - middle.x) - Math.abs(other.x - middle.x))
  if (near) {
    const { long } = roomOf(label.lines)
    label.x = near.x > middle.x ? near.x - 3 - long : near.x + 3
    label.width = long
  }
  return label
}
