import { box, line, pinNames, rails } from './pens.js'

const COIL = ['86', '85']

/**
 * Coil and contact stand side by side; on which side each is, the wires decide.
 *
 * @type {import('./index.js').Symbol}
 */
export const relay = {
  pitch: 30,
  size: (most) => ({ width: Math.max(84, most * 30 + 24), height: 56 }),
  draw: ({ width, height, pins }) => {
    const at = (/** @type {string} */ name) => pins.find((pin) => pin.name === name)
    const shapes = [box(0, 0, width, height)]
    const coil = pins.filter((pin) => COIL.includes(pin.name))
    const middle = (/** @type {typeof pins} */ some) => some.reduce((sum, pin) => sum + pin.x, 0) / some.length
    if (coil.length > 0) {
      const x = middle(coil)
      shapes.push(
        box(x - 12, 20, 24, 16),
        line([
          [x - 8, 36],
          [x + 8, 20],
        ]),
      )
      for (const pin of coil) {
        const top = pin.side === 'top'
        shapes.push(
          line([
            [pin.x, top ? 0 : height],
            [pin.x, top ? 15 : 41],
            [x, top ? 15 : 41],
            [x, top ? 20 : 36],
          ]),
        )
      }
    }
    const arm = at('30')
    const works = at('87')
    const rests = at('87a')
    const contact = [arm, works, rests].filter((pin) => pin !== undefined)
    if (contact.length > 0) {
      const x = middle(contact)
      if (arm)
        shapes.push(
          line([
            [arm.x, 0],
            [arm.x, 15],
            [x, 15],
            [x, 18],
          ]),
        )
      if (works)
        shapes.push(
          line([
            [works.x, height],
            [works.x, 41],
            [x, 41],
            [x, 38],
            [x - 9, 19],
          ]),
        )
      if (rests)
        shapes.push(
          line([
            [rests.x, height],
            [rests.x, 45],
            [rests.x, 36],
          ]),
        )
    }
    return { shapes: [...shapes, ...rails(pins)], words: pinNames(pins, height) }
  },
}
