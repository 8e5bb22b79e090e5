/** @typedef {import('./types.js').DrawnWire} DrawnWire */

/**
 * A straight piece of a wire.
 *
 * @typedef {object} Run
 * @property {number} wire index of the wire
 * @property {boolean} upright
 * @property {number} x least x
 * @property {number} y least y
 * @property {number} length
 */

/** @param {DrawnWire} wire @param {number} index @returns {Run[]} */
export const runsOf = (wire, index) =>
  wire.points.slice(1).map(([x, y], at) => {
    const [fromX, fromY] = wire.points[at] ?? [x, y]
    const upright = Math.abs(x - fromX) < 0.5
    return {
      wire: index,
      upright,
      x: Math.min(x, fromX),
      y: Math.min(y, fromY),
      length: upright ? Math.abs(y - fromY) : Math.abs(x - fromX),
    }
  })

/** @param {Run} run @param {number} [half] half of its width @returns {import('./types.js').Box} */
export const boxOf = (run, half = 1.5) => ({
  x: run.x - half,
  y: run.y - half,
  width: (run.upright ? 0 : run.length) + 2 * half,
  height: (run.upright ? run.length : 0) + 2 * half,
})
