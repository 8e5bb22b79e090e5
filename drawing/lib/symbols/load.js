import { box, circle, line, pinNames, rails } from './pens.js'

/** What a load shows by the letter of its id: a lamp, a coil that moves something, a heater; others a plain resistance. */
const signs = {
  H: (/** @type {number} */ x, /** @type {number} */ y) => [
    circle(x, y, 8),
    line([
      [x - 5, y - 5],
      [x + 5, y + 5],
    ]),
    line([
      [x - 5, y + 5],
      [x + 5, y - 5],
    ]),
  ],
  Y: (/** @type {number} */ x, /** @type {number} */ y) => [
    line([
      [x - 12, y + 5],
      [x - 6, y - 5],
      [x, y + 5],
      [x + 6, y - 5],
      [x + 12, y + 5],
    ]),
  ],
  M: (/** @type {number} */ x, /** @type {number} */ y) => [
    circle(x, y, 9),
    line([
      [x - 4, y + 4],
      [x - 4, y - 4],
      [x, y + 1],
      [x + 4, y - 4],
      [x + 4, y + 4],
    ]),
  ],
}

/** @type {import('./index.js').Symbol} */
export const load = {
  pitch: 34,
  size: (most) => ({ width: Math.max(48, most * 34 + 8), height: 46 }),
  draw: ({ width, height, pins, id }) => {
    const sign = signs[/** @type {keyof typeof signs} */ (id?.[0] ?? '')]
    const inside = sign ? sign(width / 2, height / 2) : [box(width / 2 - 5, height / 2 - 8, 10, 16)]
    return { shapes: [box(0, 0, width, height), ...inside, ...rails(pins)], words: pinNames(pins, height) }
  },
}
