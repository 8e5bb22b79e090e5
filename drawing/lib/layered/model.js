import { LINE, SIZE, widthOf, wrap } from '../text.js'
import { symbolOf } from '../symbols/index.js'

/** @typedef {import('../types.js').Node} Node */
/** @typedef {import('../types.js').PictureBrief} Brief */

/** Words beside a part are broken at this width. */
const WIDE = 112
/** Slots of a plug stand so far apart, and two wires in one slot. */
export const SLOT = 34
const IN_SLOT = 20

/**
 * Nodes with the room that they need.
 *
 * @param {Brief} brief
 * @param {Map<string, string>} [bars] ways of plugs to the bar in which they stand together
 * @returns {import('../types.js').Model}
 */
export function modelOf(brief, bars = new Map()) {
  /** @type {Map<string, Node>} */
  const nodes = new Map()
  for (const one of brief.nodes) {
    const id = bars.get(one.id) ?? one.id
    const bar = nodes.get(id)
    if (bar) {
      bar.ports.push(...one.ports)
      if (one.way !== undefined) bar.ways.push(one.way)
    } else {
      const { way, ...rest } = one
      nodes.set(id, { ...rest, id, ways: way === undefined ? [] : [way], ports: [...one.ports], ...NO_ROOM })
    }
  }
  const edges = brief.edges.map((edge) => ({
    ...edge,
    from_node: bars.get(edge.from_node) ?? edge.from_node,
    to_node: bars.get(edge.to_node) ?? edge.to_node,
  }))
  for (const node of nodes.values()) giveRoom(node)
  return { nodes, edges }
}

const NO_ROOM = { width: 0, height: 0, lines: [], label_width: 0, label_height: 0, below: false }

/** @param {Node} node */
function giveRoom(node) {
  const symbol = symbolOf(node.kind)
  const most = Math.max(1, ...['top', 'bottom'].map((side) => node.ports.filter((port) => port.side === side).length))
  const slots = slotsOf(node)
  Object.assign(node, symbol.size(most, slots.at(-1)?.end ?? 0, node.title))
  node.below =
    ['ground', 'metal'].includes(node.kind) ||
    (node.kind !== 'link' && node.ports.length > 0 && node.ports.every((port) => port.side === 'top'))
  node.lines = linesOf(node)
  node.label_width =
    node.lines.length > 0
      ? Math.ceil(Math.max(...node.lines.map((line, index) => widthOf(line, SIZE.name, { heavy: index === 0 })))) + 4
      : 0
  node.label_height = node.lines.length * LINE
}

/** @param {Node} node */
function linesOf(node) {
  if (node.kind === 'link' || node.kind === 'control_unit') return []
  // A single way of a plug is named by its id: the words of a plug stand at its bars.
  if (node.kind === 'connector' && node.ways.length < 2) return [node.title]
  if (node.kind === 'splice') return [node.title]
  return [node.title, ...wrap(node.label, node.below ? Math.max(80, node.width) : WIDE)]
}

/** @param {import('../types.js').BriefPort} port */
const wayOf = (port) => (port.name ?? '').slice(2)

/**
 * Slots of a plug: both halves of a way stand in the same one.
 *
 * @param {Node} node
 * @returns {{ way: string, middle: number, end: number }[]}
 */
function slotsOf(node) {
  let at = 0
  return node.ways.map((way) => {
    const ports = node.ports.filter((port) => wayOf(port) === way)
    const wires = Math.max(1, ...['top', 'bottom'].map((side) => ports.filter((port) => port.side === side).length))
    const width = SLOT + (wires - 1) * IN_SLOT
    at += width
    return { way, middle: at - width / 2, end: at }
  })
}

/**
 * Where the ports of a node lie along its width, in the order in which they are given.
 *
 * @param {Node} node
 * @param {import('../types.js').BriefPort[]} order
 * @returns {Map<string, number>} id of a port to its x
 */
export function spotsOf(node, order) {
  const spots = new Map()
  const spread = (/** @type {typeof order} */ ports, /** @type {number} */ middle, /** @type {number} */ pitch) => {
    ports.forEach((port, index) => spots.set(port.id, middle + (index - (ports.length - 1) / 2) * pitch))
  }
  for (const side of ['top', 'bottom']) {
    const ports = order.filter((port) => port.side === side)
    if (node.ways.length > 0)
      for (const slot of slotsOf(node))
        spread(
          ports.filter((port) => wayOf(port) === slot.way),
          slot.middle,
          IN_SLOT,
        )
    else spread(ports, node.width / 2, symbolOf(node.kind).pitch)
  }
  return spots
}
