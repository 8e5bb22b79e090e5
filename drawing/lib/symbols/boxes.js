import { box, circle, line, pinNames, rails, word } from './pens.js'

const SHORT = new Map([
  ['supply', 'sup'],
  ['signal', 'sig'],
  ['return', 'ret'],
])

/** @type {import('./index.js').Symbol} Starter, alternator and whatever has no sign of its own: an outline with its pins. */
export const plain = {
  pitch: 34,
  size: (most) => ({ width: Math.max(56, most * 34 + 10), height: 46 }),
  draw: ({ width, height, pins, kind }) => ({
    shapes: [
      box(0, 0, width, height),
      ...(kind === 'starter' || kind === 'alternator' ? [circle(width / 2, height / 2, 8)] : []),
      ...rails(pins),
    ],
    words: pinNames(pins, height),
  }),
}

/** @type {import('./index.js').Symbol} */
export const sensor = {
  pitch: 34,
  size: (most) => ({ width: Math.max(52, most * 34 + 10), height: 46 }),
  draw: ({ width, height, pins }) => ({
    shapes: [
      box(0, 0, width, height),
      circle(width / 2, height - 15, 6),
      line([
        [width / 2, height - 15],
        [width / 2 + 4, height - 19],
      ]),
      ...rails(pins),
    ],
    words: pinNames(pins, height, (pin) => SHORT.get(pin.name) ?? pin.name),
  }),
}

/** A letter of a name takes about so much. */
const LETTER = 6.6
const LINE = 14

/**
 * A name in lines that stay within their box.
 *
 * @param {string} name
 * @param {number} room
 * @returns {string[]}
 */
function within(name, room) {
  /** @type {string[]} */
  const lines = []
  for (const part of name.split(/\s+/).filter(Boolean)) {
    const joined = lines.length > 0 ? `${lines.at(-1)} ${part}` : part
    if (lines.length > 0 && joined.length * LETTER <= room) lines[lines.length - 1] = joined
    else lines.push(part)
  }
  return lines
}

/** @type {import('./index.js').Symbol} Its name stands within: wires come in on both sides. */
export const controlUnit = {
  pitch: 30,
  size: (most) => ({ width: most * 30 + 10, height: 110 }),
  draw: ({ width, height, pins, title, label }) => ({
    shapes: [box(0, 0, width, height), ...rails(pins)],
    words: [
      ...within([title, label].filter(Boolean).join(' '), width).map((text, at, all) =>
        word(width / 2, height / 2 + 4 + (at - (all.length - 1) / 2) * LINE, text, 'middle', 'name'),
      ),
      ...pins.map((pin) => word(pin.x, pin.side === 'top' ? 13 : height - 5, pin.name, 'middle')),
    ],
  }),
}

/** @type {import('./index.js').Symbol} */
export const resistor = {
  pitch: 30,
  size: (most) => ({ width: Math.max(40, most * 30 + 10), height: 46 }),
  draw: ({ width, height, pins }) => ({
    shapes: [box(0, 0, width, height), box(width / 2 - 5, height / 2 - 8, 10, 16), ...rails(pins)],
    words: pinNames(pins, height),
  }),
}

/** @type {import('./index.js').Symbol} */
export const diode = {
  pitch: 30,
  size: (most) => ({ width: Math.max(40, most * 30 + 10), height: 46 }),
  draw: ({ width, height, pins }) => {
    const [x, y] = [width / 2, height / 2]
    // Current leaves at k, wherever that stands.
    const down = pins.find((pin) => pin.name === 'k')?.side !== 'top'
    const [foot, head] = down ? [y - 5, y + 5] : [y + 5, y - 5]
    return {
      shapes: [
        box(0, 0, width, height),
        { d: `M${x - 7} ${foot}L${x + 7} ${foot}L${x} ${head}Z`, look: 'line' },
        line(
          [
            [x - 7, head],
            [x + 7, head],
          ],
          'bold',
        ),
        ...rails(pins),
      ],
      words: pinNames(pins, height),
    }
  },
}
