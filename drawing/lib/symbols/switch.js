import { box, circle, line, pinNames, rails } from './pens.js'

/**
 * One that takes, and each that gives with an arm of its own.
 *
 * @type {import('./index.js').Symbol}
 */
export const switchSymbol = {
  pitch: 30,
  size: (most) => ({ width: Math.max(44, most * 30 + 14), height: 46 }),
  draw: ({ width, height, pins }) => {
    const takes = pins.filter((pin) => pin.side === 'top')
    const gives = pins.filter((pin) => pin.side === 'bottom')
    const bar = [...takes, ...gives].map((pin) => pin.x)
    const shapes = [box(0, 0, width, height)]
    for (const pin of takes)
      shapes.push(
        line([
          [pin.x, 0],
          [pin.x, 14],
        ]),
      )
    if (takes.length > 0 && gives.length > 1)
      shapes.push(
        line([
          [Math.min(...bar), 14],
          [Math.max(...bar), 14],
        ]),
      )
    else
      for (const pin of takes)
        shapes.push(
          line([
            [pin.x - 4, 14],
            [pin.x + 4, 14],
          ]),
        )
    for (const pin of gives) {
      shapes.push(
        line([
          [pin.x, height],
          [pin.x, height - 12],
        ]),
      )
      shapes.push(
        line([
          [pin.x - 1, height - 14],
          [pin.x - 9, 17],
        ]),
      )
      shapes.push(circle(pin.x, height - 13, 2.5))
    }
    return { shapes: [...shapes, ...rails(pins)], words: pinNames(pins, height) }
  },
}
