import { SIZE, widthOf } from '../text.js'

/** @typedef {import('../types.js').WireLabel & { cost: number }} Candidate */
/** @typedef {import('../wires.js').Run} Run */

const LINE = 13
/** Between a wire and its words. */
const GAP = 2.5

/** @param {string[]} lines */
export const roomOf = (lines) => ({
  long: Math.max(...lines.map((line) => widthOf(line, SIZE.wire))) + 4,
  thick: LINE * lines.length,
})

/**
 * One line along the wire, on either side of it; flat runs are read more easily than upright ones.
 *
 * @param {Run[]} runs @param {string} text
 * @returns {Candidate[]}
 */
export function along(runs, text) {
  const { long, thick } = roomOf([text])
  return runs.flatMap((run) => {
    if (run.length < long + 2) return []
    return spread(run.length - long - 4, 12).flatMap(({ at, share }) => {
      const off = 2 + at
      const middle = Math.abs(share - 0.5)
      return run.upright
        ? [GAP, -GAP - thick].map((aside, index) =>
            place(run.x + aside, run.y + off, thick, long, [text], true, middle + 0.2 * index),
          )
        : [-GAP - thick, GAP].map((aside) => place(run.x + off, run.y + aside, long, thick, [text], false, middle - 1))
    })
  })
}

/**
 * Number and colour one above the other, where one line finds no room.
 *
 * @param {Run[]} runs @param {string[]} lines
 * @returns {Candidate[]}
 */
export function stacked(runs, lines) {
  const { long, thick } = roomOf(lines)
  return runs.flatMap((run) =>
    spread(run.length, run.length / 10 || 1).flatMap(({ share }) => {
      const cost = 2 + Math.abs(share - 0.5)
      if (!run.upright)
        return run.length < long
          ? []
          : [-GAP - thick, GAP].map((aside) =>
              place(run.x + (run.length - long) * share, run.y + aside, long, thick, lines, false, cost),
            )
      const turned =
        run.length < long
          ? []
          : [GAP, -GAP - thick].map((aside) =>
              place(run.x + aside, run.y + (run.length - long) * share, thick, long, lines, true, cost),
            )
      const level =
        run.length < thick
          ? []
          : [3, -3 - long].map((aside) =>
              place(run.x + aside, run.y + (run.length - thick) * share, long, thick, lines, false, cost),
            )
      return [...turned, ...level]
    }),
  )
}

/**
 * The number alone, anywhere beside the wire.
 *
 * @param {Run[]} runs @param {string} number
 * @returns {Candidate[]}
 */
export function alone(runs, number) {
  const { long, thick } = roomOf([number])
  return runs.flatMap((run) =>
    spread(run.length, run.length / 8 || 1).flatMap(({ at, share }) =>
      [0, 1].map((other) =>
        run.upright
          ? place(run.x + (other ? 3 : -3 - long), run.y + at - 7, long, thick, [number], false, Math.abs(share - 0.5))
          : place(
              run.x + at - long / 2,
              run.y + (other ? -15 : 2),
              long,
              thick,
              [number],
              false,
              Math.abs(share - 0.5),
            ),
      ),
    ),
  )
}

/** @param {number} length @param {number} step */
function spread(length, step) {
  const steps = Math.max(1, Math.floor(length / step))
  return Array.from({ length: steps + 1 }, (_, index) => ({ at: length * (index / steps), share: index / steps }))
}

/**
 * @param {number} x @param {number} y @param {number} width @param {number} height
 * @param {string[]} lines @param {boolean} turned @param {number} cost
 * @returns {Candidate}
 */
const place = (x, y, width, height, lines, turned, cost) => ({ x, y, width, height, lines, turned, cost })
