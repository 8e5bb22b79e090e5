import { box, line, rails } from './pens.js'

/** @type {import('./index.js').Symbol} */
export const fuse = {
  pitch: 20,
  size: (most) => ({ width: Math.max(22, most * 20 + 4), height: 40 }),
  draw: ({ width, height, pins }) => ({
    shapes: [
      box(0, 0, width, height),
      line([
        [width / 2, 0],
        [width / 2, height],
      ]),
      ...rails(pins),
    ],
    words: [],
  }),
}
