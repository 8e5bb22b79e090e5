/** @typedef {import('./line.js').Line} Line */
/** @typedef {import('./line.js').Pair} Pair */
/** @typedef {import('./line.js').End} End */

/**
 * Which wire of each pair is on the upper line: told at one end, and followed from pair to pair through what both end on.
 *
 * @param {Line} line
 * @returns {Map<string, boolean>} by wire
 */
export function sidesOf({ spine, pairs }) {
  const upper = new Map()
  const first = pairs.find((pair) => [pair.from, pair.to].includes(spine[0] ?? ''))
  if (!first) return upper
  const ends = [first.one, first.other].map((wire) => ({ wire, end: wire.ends[first.from === spine[0] ? 0 : 1] }))
  ends.sort((one, other) => (one.end.port.name ?? '').localeCompare(other.end.port.name ?? ''))
  ends.forEach(({ wire }, index) => upper.set(wire.wire, index === 0))
  const queue = [first]
  const done = new Set(queue)
  for (let pair = queue.shift(); pair; pair = queue.shift()) {
    for (const next of pairs.filter((other) => !done.has(other) && touch(pair, other))) {
      done.add(next)
      queue.push(next)
      const before = [pair.one, pair.other]
      const met = before.find((wire) => joins(wire.ends, next.one.ends))
      const up = upper.get((met ?? pair.one).wire) === true
      upper.set(next.one.wire, up)
      upper.set(next.other.wire, !up)
    }
  }
  return upper
}

/** @param {Pair} one @param {Pair} other */
const touch = (one, other) => [one.from, one.to].some((group) => [other.from, other.to].includes(group))

/** Whether two wires meet: on a pin, in a splice, or over a way of a plug. @param {End[]} one @param {End[]} other */
const joins = (one, other) =>
  one.some((end) =>
    other.some((next) => end.node === next.node && (end.node.kind === 'connector' || end.port.pin === next.port.pin)),
  )
