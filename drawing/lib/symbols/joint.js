import { box, circle, line } from './pens.js'

/** @type {import('./index.js').Symbol} Splice or stud: a dot, or a bar where many wires meet. */
export const joint = {
  pitch: 20,
  size: (most) => ({ width: Math.max(12, (most - 1) * 20 + 12), height: 12 }),
  draw: ({ width, height, ports }) => ({
    shapes: [
      ...ports.map((port) =>
        line(
          [
            [port.x, port.y],
            [port.x, height / 2],
          ],
          'bold',
        ),
      ),
      width > 14 ? box(0, height / 2 - 4, width, 8, 'fill') : circle(width / 2, height / 2, 5, 'fill'),
    ],
    words: [],
  }),
}

/** @type {import('./index.js').Symbol} A ground point, or the sign for a wire that ends on metal. */
export const ground = {
  pitch: 20,
  size: (most) => ({ width: Math.max(28, (most - 1) * 20 + 16), height: 20 }),
  draw: ({ width, ports }) => ({
    shapes: [
      ...ports.map((port) =>
        line([
          [port.x, 0],
          [port.x, 8],
        ]),
      ),
      line(
        [
          [0, 8],
          [width, 8],
        ],
        'bold',
      ),
      ...[0, 1, 2, 3].map((tooth) => {
        const x = 7 + (tooth * (width - 8)) / 4
        return line([
          [x, 8],
          [x - 5, 17],
        ])
      }),
    ],
    words: [],
  }),
}
