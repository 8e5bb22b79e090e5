import { box, line, rails, word } from './pens.js'

/** @type {import('./index.js').Symbol} */
export const battery = {
  pitch: 30,
  size: (most) => ({ width: Math.max(70, most * 30 + 10), height: 44 }),
  draw: ({ width, height, pins }) => ({
    shapes: [
      box(0, 0, width, height),
      line(
        [
          [width / 2 - 14, 18],
          [width / 2 + 14, 18],
        ],
        'bold',
      ),
      line(
        [
          [width / 2 - 7, 25],
          [width / 2 + 7, 25],
        ],
        'bold',
      ),
      ...rails(pins),
    ],
    words: pins.map((pin) =>
      word(pin.x, pin.side === 'top' ? 12 : height - 5, pin.name === '-' ? '–' : pin.name, 'middle', 'name'),
    ),
  }),
}
