/** @typedef {import('./types.js').Box} Box */

/**
 * @param {Box} one @param {Box} other
 * @param {number} [slack] so much may lie over each other
 */
export const overlap = (one, other, slack = 0.5) =>
  one.x < other.x + other.width - slack &&
  other.x < one.x + one.width - slack &&
  one.y < other.y + other.height - slack &&
  other.y < one.y + one.height - slack

/** @param {Box[]} boxes @returns {Box} */
export function around(boxes) {
  const x = Math.min(...boxes.map((box) => box.x))
  const y = Math.min(...boxes.map((box) => box.y))
  return {
    x,
    y,
    width: Math.max(...boxes.map((box) => box.x + box.width)) - x,
    height: Math.max(...boxes.map((box) => box.y + box.height)) - y,
  }
}
