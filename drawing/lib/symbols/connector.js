import { box, line, word } from './pens.js'

/**
 * A bar: both halves one above the other, each way in a slot of its own. The lower half is shaded; the letter says which half it is.
 *
 * @type {import('./index.js').Symbol}
 */
export const connector = {
  pitch: 20,
  size: (_most, slots) => ({ width: Math.max(26, slots), height: 34 }),
  draw: ({ width, height, pins, top }) => ({
    shapes: [
      box(0, 2, width, 14),
      box(0, 18, width, 14, 'shade'),
      ...pins.flatMap((pin) => {
        const up = pin.side === 'top'
        const stub = line(
          [
            [pin.x, up ? 0 : height],
            [pin.x, up ? 13 : height - 13],
          ],
          'bold',
        )
        return pin.to > pin.from
          ? [
              stub,
              line(
                [
                  [pin.from, pin.y],
                  [pin.to, pin.y],
                ],
                'bold',
              ),
            ]
          : [stub]
      }),
    ],
    words: [
      word(-4, 13, top ?? '', 'end'),
      word(-4, 29, top === 'a' ? 'b' : 'a', 'end'),
      ...pins.map((pin) => word(pin.x - 3, pin.side === 'top' ? 13 : height - 5, pin.name.slice(2), 'end')),
    ],
  }),
}
