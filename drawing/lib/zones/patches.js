import { around, overlap } from '../boxes.js'
import { SIZE, widthOf } from '../text.js'

/** @typedef {import('../types.js').Box} Box */
/** @typedef {import('../types.js').Zone} Zone */

const MARGIN = 10
const TITLE = 14
/** Two patches become one where that takes less than so many times their own area. */
const WASTE = 3.2

/**
 * Where each zone of the machine lies in the picture: quiet patches behind its parts, none over a part of another zone.
 *
 * @param {import('../types.js').DrawnPart[]} parts
 * @param {{ key: string, label: string }[]} zones
 * @param {Box[]} taken where something is drawn already
 * @returns {Zone[]}
 */
export function patches(parts, zones, taken) {
  /** @type {Zone[]} */
  const found = []
  for (const { key, label } of zones) {
    const mine = parts.filter((part) => part.zone === key)
    const others = parts.filter((part) => part.zone !== key)
    for (const box of joined(mine.map(withWords), others)) {
      found.push({ ...box, key, label, label_at: roomFor(label, box, taken) })
    }
  }
  return found
}

/** @param {import('../types.js').DrawnPart} part @returns {Box} */
function withWords(part) {
  const { x, y, width, height } = around(part.label ? [part, part.label] : [part])
  return { x: x - MARGIN, y: y - MARGIN - 6, width: width + 2 * MARGIN, height: height + 2 * MARGIN + 6 }
}

/** @param {Box[]} boxes @param {Box[]} others @returns {Box[]} */
function joined(boxes, others) {
  const list = [...boxes]
  for (let index = 0; index < list.length; index += 1) {
    const one = list[index]
    const at = list.findIndex((other, second) => second > index && one && fits(one, other, others))
    const other = list[at]
    if (!one || !other) continue
    list.splice(at, 1)
    list[index] = around([one, other])
    index = -1
  }
  return list
}

/** @param {Box} one @param {Box} other @param {Box[]} others */
function fits(one, other, others) {
  const both = around([one, other])
  const area = (/** @type {Box} */ box) => box.width * box.height
  return area(both) < WASTE * (area(one) + area(other)) && !others.some((part) => overlap(part, both, MARGIN))
}

/** @param {string} label @param {Box} patch @param {Box[]} taken @returns {import('../types.js').Point | null} */
function roomFor(label, patch, taken) {
  const width = widthOf(label, SIZE.pin) + 6
  const near = taken.filter((box) => overlap(box, patch, 0))
  for (let y = patch.y + 1; y <= patch.y + patch.height - TITLE; y += 4) {
    for (let x = patch.x + 3; x <= patch.x + patch.width - width; x += 6) {
      if (!near.some((box) => overlap(box, { x, y, width, height: TITLE }))) return [x + 2, y + 11]
    }
  }
  return null
}
