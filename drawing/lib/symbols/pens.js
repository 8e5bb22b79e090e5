/** @typedef {import('../types.js').Shape} Shape */
/** @typedef {import('../types.js').Word} Word */
/** @typedef {import('../types.js').Pin} Pin */

const round = (/** @type {number} */ value) => Math.round(value * 10) / 10

/**
 * @param {[number, number][]} points
 * @param {Shape['look']} [look]
 * @returns {Shape}
 */
export const line = (points, look = 'line') => ({
  d: points.map(([x, y], index) => `${index === 0 ? 'M' : 'L'}${round(x)} ${round(y)}`).join(''),
  look,
})

/**
 * @param {number} x @param {number} y @param {number} width @param {number} height
 * @param {Shape['look']} [look]
 * @returns {Shape}
 */
export const box = (x, y, width, height, look = 'outline') => ({
  d: `M${round(x)} ${round(y)}h${round(width)}v${round(height)}h${round(-width)}Z`,
  look,
})

/**
 * @param {number} x @param {number} y @param {number} radius
 * @param {Shape['look']} [look]
 * @returns {Shape}
 */
export const circle = (x, y, radius, look = 'outline') => ({
  d: `M${round(x - radius)} ${round(y)}a${radius} ${radius} 0 1 0 ${2 * radius} 0a${radius} ${radius} 0 1 0 ${-2 * radius} 0Z`,
  look,
})

/**
 * @param {number} x @param {number} y @param {string} text
 * @param {Word['anchor']} [anchor] @param {Word['look']} [look]
 * @returns {Word}
 */
export const word = (x, y, text, anchor = 'start', look = 'pin') => ({ x: round(x), y: round(y), text, anchor, look })

/**
 * A short rail where several wires share a pin.
 *
 * @param {Pin[]} pins
 * @returns {Shape[]}
 */
export const rails = (pins) =>
  pins
    .filter((pin) => pin.to > pin.from)
    .map((pin) =>
      line(
        [
          [pin.from, pin.y],
          [pin.to, pin.y],
        ],
        'bold',
      ),
    )

/**
 * Names of pins, each beside its wire, inside the outline.
 *
 * @param {Pin[]} pins @param {number} height
 * @param {(pin: Pin) => string} [name]
 * @returns {Word[]}
 */
export const pinNames = (pins, height, name = (pin) => pin.name) =>
  pins.map((pin) => word(pin.x + 4, pin.side === 'top' ? 11 : height - 3.5, name(pin)))
