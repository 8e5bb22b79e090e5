import { runsOf } from '../wires.js'

/**
 * How well a picture reads: less is better. Wires over each other are worst, then words without room, crossings, bends, length and area.
 *
 * @param {{ width: number, height: number, wires: import('../types.js').DrawnWire[] }} picture
 * @param {{ bare: number[], crossed: number[] }} words
 */
export function scoreOf(picture, words) {
  const runs = picture.wires.flatMap(runsOf)
  const { crossings, covered } = met(runs)
  const bends = picture.wires.reduce((sum, wire) => sum + Math.max(0, wire.points.length - 2), 0)
  const length = runs.reduce((sum, run) => sum + run.length, 0)
  return (
    crossings * 40 +
    covered * 200 +
    words.bare.length * 60 +
    words.crossed.length * 25 +
    bends * 4 +
    length / 40 +
    (picture.width * picture.height) / 20000
  )
}

/** @param {import('../wires.js').Run[]} runs */
function met(runs) {
  let crossings = 0
  let covered = 0
  for (const [index, one] of runs.entries()) {
    for (const other of runs.slice(index + 1)) {
      if (one.wire === other.wire) continue
      if (one.upright !== other.upright)
        crossings += crosses(one.upright ? other : one, one.upright ? one : other) ? 1 : 0
      else covered += covers(one, other) ? 1 : 0
    }
  }
  return { crossings, covered }
}

/** @param {import('../wires.js').Run} level @param {import('../wires.js').Run} upright */
const crosses = (level, upright) =>
  upright.x > level.x + 0.1 &&
  upright.x < level.x + level.length - 0.1 &&
  level.y > upright.y + 0.1 &&
  level.y < upright.y + upright.length - 0.1

/** @param {import('../wires.js').Run} one @param {import('../wires.js').Run} other */
function covers(one, other) {
  const [apart, from, to] = one.upright
    ? [Math.abs(one.x - other.x), Math.max(one.y, other.y), Math.min(one.y + one.length, other.y + other.length)]
    : [Math.abs(one.y - other.y), Math.max(one.x, other.x), Math.min(one.x + one.length, other.x + other.length)]
  return apart < 1.5 && to - from > 1
}
