/** @typedef {import('../types.js').Model} Model */

/**
 * Ways of one plug that run the same way stand together in one bar, as long as that closes no circle that was not there.
 *
 * @param {Model} model with a node for each way
 * @param {(id: string) => number} y where each node lay
 * @returns {Map<string, string>} node to bar
 */
export function barsOf(model, y) {
  const ways = [...model.nodes.values()].filter((node) => node.kind === 'connector')
  const bars = new Map(ways.map((node) => [node.id, node.id]))
  const atFirst = circles(model, bars)
  /** @type {Map<string, typeof ways>} */
  const alike = new Map()
  for (const node of ways) {
    const key = `${node.part}#${node.top}`
    alike.set(key, [...(alike.get(key) ?? []), node])
  }
  for (const [key, some] of alike) {
    /** @type {string[]} */
    const made = []
    for (const node of some.sort((one, other) => y(one.id) - y(other.id))) {
      const found = made.find((bar) => {
        bars.set(node.id, bar)
        return circles(model, bars) <= atFirst
      })
      if (found === undefined) {
        made.push(`${key}${made.length}`)
        bars.set(node.id, `${key}${made.length - 1}`)
      }
    }
  }
  return bars
}

/**
 * How many nodes lie on circles: strongly connected components of more than one, by Tarjan's algorithm.
 *
 * @param {Model} model @param {Map<string, string>} bars
 */
function circles(model, bars) {
  const called = (/** @type {string} */ id) => bars.get(id) ?? id
  /** @type {Map<string, Set<string>>} */
  const next = new Map()
  for (const edge of model.edges) {
    const from = called(edge.from_node)
    next.set(from, (next.get(from) ?? new Set()).add(called(edge.to_node)))
  }
  /** @type {Map<string, { index: number, low: number, open: boolean }>} */
  const seen = new Map()
  /** @type {string[]} */
  const stack = []
  let count = 0
  const visit = (/** @type {string} */ id) => {
    const mine = { index: seen.size, low: seen.size, open: true }
    seen.set(id, mine)
    stack.push(id)
    for (const to of next.get(id) ?? []) {
      const other = seen.get(to) ?? visit(to)
      if (other.open) mine.low = Math.min(mine.low, other.low)
    }
    if (mine.low === mine.index) {
      const members = stack.splice(stack.lastIndexOf(id))
      for (const member of members) {
        const one = seen.get(member)
        if (one) one.open = false
      }
      if (members.length > 1 || next.get(id)?.has(id)) count += members.length
    }
    return mine
  }
  for (const id of next.keys()) if (!seen.has(id)) visit(id)
  return count
}
