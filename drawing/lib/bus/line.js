/** @typedef {import('../types.js').PictureBrief} Brief */
/** @typedef {import('../types.js').BriefNode} BriefNode */
/** @typedef {import('../types.js').BriefPort} Port */

/**
 * One end of a wire.
 *
 * @typedef {{ part: string, node: BriefNode, port: Port }} End
 * @typedef {{ wire: string, ends: [End, End] }} Wire
 * @typedef {{ one: Wire, other: Wire, from: string, to: string }} Pair two wires that run together, from group to group
 *
 * A data line: twisted pairs taken as one edge each, from one terminator to the other. Groups are what both wires of a pair end on: a module,
 * a plug, or two splices. nodes: the parts of each group; spine: groups along the line; pairs: all of them; rest: wires that are no pair.
 *
 * @typedef {{ groups: Map<string, BriefNode[]>, spine: string[], pairs: Pair[], rest: Wire[] }} Line
 */

const FEWEST_PAIRS = 3
/** Of the wires so many must be pairs, or it is a circuit with a line in it. */
const LEAST_SHARE = 0.6

/**
 * @param {Brief} brief
 * @returns {Line | null} null where it is none, or not one that runs from end to end
 */
export function lineOf(brief) {
  const wires = wiresOf(brief)
  const byId = new Map(wires.map((wire) => [wire.wire, wire]))
  const couples = wires.flatMap((one) => {
    const other = byId.get(brief.wires[one.wire]?.twisted_with ?? '')
    return other && one.wire < other.wire ? [{ one, other }] : []
  })
  if (couples.length < FEWEST_PAIRS || (2 * couples.length) / wires.length < LEAST_SHARE) return null
  const called = new Map()
  const name = (/** @type {string} */ id) => {
    let at = id
    while (called.has(at)) at = called.get(at)
    return at
  }
  const join = (/** @type {string} */ one, /** @type {string} */ other) => {
    if (name(one) !== name(other)) called.set(name(other), name(one))
  }
  for (const { one, other } of couples) {
    if (runsAgainst(one, other)) other.ends.reverse()
    join(one.ends[0].part, other.ends[0].part)
    join(one.ends[1].part, other.ends[1].part)
  }
  const pairs = couples.map((pair) => ({ ...pair, from: name(pair.one.ends[0].part), to: name(pair.one.ends[1].part) }))
  const groups = new Map()
  for (const node of brief.nodes) {
    const id = name(node.part ?? node.id)
    groups.set(id, [...(groups.get(id) ?? []), node])
  }
  const spine = spineOf(pairs, groups)
  const paired = new Set(couples.flatMap(({ one, other }) => [one.wire, other.wire]))
  return spine && { groups, spine, pairs, rest: wires.filter((wire) => !paired.has(wire.wire)) }
}

/** @param {Brief} brief @returns {Wire[]} */
function wiresOf(brief) {
  /** @type {Map<string, End[]>} */
  const ends = new Map()
  for (const node of brief.nodes)
    for (const port of node.ports)
      if (port.wire !== undefined)
        ends.set(port.wire, [...(ends.get(port.wire) ?? []), { part: node.part ?? node.id, node, port }])
  return [...ends].flatMap(([wire, [from, to]]) =>
    from && to ? [{ wire, ends: /** @type {[End, End]} */ ([from, to]) }] : [],
  )
}

/** Written the other way round than its twin. @param {Wire} one @param {Wire} other */
function runsAgainst(one, other) {
  const alike = (/** @type {End} */ a, /** @type {End} */ b) =>
    a.part === b.part ? 2 : a.node.kind === b.node.kind ? 1 : 0
  const [from, to] = one.ends
  const [first, last] = other.ends
  return alike(from, last) + alike(to, first) > alike(from, first) + alike(to, last)
}

/** @param {Pair[]} pairs @param {Map<string, BriefNode[]>} groups @returns {string[] | null} */
function spineOf(pairs, groups) {
  /** @type {Map<string, string[]>} */
  const next = new Map()
  for (const { from, to } of pairs) {
    next.set(from, [...(next.get(from) ?? []), to])
    next.set(to, [...(next.get(to) ?? []), from])
  }
  // A line with a ring in it, or in two pieces, is drawn as any circuit.
  if (pairs.length !== next.size - 1) return null
  const leaves = [...next].filter(([, others]) => others.length === 1).map(([id]) => id)
  const ends = leaves.filter((id) => groups.get(id)?.some((node) => node.terminates))
  const paths = (ends.length >= 2 ? ends : leaves).map((from) => longest(from, next, ends.length >= 2 ? ends : leaves))
  const best = paths.sort((one, other) => other.length - one.length)[0]
  return best && best.length > 2 && reached(best[0] ?? '', next).size === next.size ? best : null
}

/** @param {string} from @param {Map<string, string[]>} next @param {string[]} ends @returns {string[]} */
function longest(from, next, ends) {
  const before = reached(from, next)
  return ends.map((end) => pathTo(end, before)).sort((one, other) => other.length - one.length)[0] ?? []
}

/** @param {string} end @param {Map<string, string | null>} before */
function pathTo(end, before) {
  const path = []
  for (let at = /** @type {string | null | undefined} */ (end); at; at = before.get(at)) path.unshift(at)
  return path
}

/** @param {string} from @param {Map<string, string[]>} next @returns {Map<string, string | null>} each to the one before it */
function reached(from, next) {
  /** @type {Map<string, string | null>} */
  const before = new Map([[from, null]])
  const queue = [from]
  for (let at = queue.shift(); at !== undefined; at = queue.shift())
    for (const to of next.get(at) ?? [])
      if (!before.has(to)) {
        before.set(to, at)
        queue.push(to)
      }
  return before
}
