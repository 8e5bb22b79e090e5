/** @typedef {import('../types.js').Node} Node */
/** @typedef {import('../types.js').BriefPort} Port */

const COIL = ['85', '86']
const CONTACT = ['30', '87', '87a']

const mean = (/** @type {number[]} */ values) =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length)

/**
 * The order that the layouter found, with the wires of one pin beside each other, both halves of a plug in the same slot, and coil and
 * contact of a relay unmixed.
 *
 * @param {import('../types.js').Model} model its plugs' ways are put in order too
 * @param {(port: Port) => number} x where each port lay
 * @returns {Map<string, Port[]>}
 */
export function ordersOf(model, x) {
  const orders = new Map()
  for (const node of model.nodes.values()) {
    if (node.ways.length > 0) {
      const places = new Map(node.ways.map((way) => [way, mean(inWay(node, way).map(x))]))
      node.ways.sort((one, other) => (places.get(one) ?? 0) - (places.get(other) ?? 0))
      orders.set(
        node.id,
        node.ways.flatMap((way) => inWay(node, way).sort((one, other) => x(one) - x(other))),
      )
    } else orders.set(node.id, node.kind === 'relay' ? unmixed(together(node.ports, x), x) : together(node.ports, x))
  }
  return orders
}

/** @param {Node} node @param {string} way */
const inWay = (node, way) => node.ports.filter((port) => (port.name ?? '').slice(2) === way)

/** @param {Port[]} ports @param {(port: Port) => number} x */
function together(ports, x) {
  /** @type {Map<string, Port[]>} */
  const pins = new Map()
  for (const port of ports) {
    const key = `${port.side} ${port.pin ?? ''}`
    pins.set(key, [...(pins.get(key) ?? []), port])
  }
  return [...pins.values()]
    .map((some) => some.sort((one, other) => x(one) - x(other)))
    .sort((one, other) => mean(one.map(x)) - mean(other.map(x)))
    .flat()
}

/** @param {Port[]} ports @param {(port: Port) => number} x */
function unmixed(ports, x) {
  const [coil, contact] = [COIL, CONTACT].map((names) => ports.filter((port) => names.includes(port.name ?? '')))
  if (!coil?.length || !contact?.length) return ports
  return mean(coil.map(x)) <= mean(contact.map(x)) ? [...coil, ...contact] : [...contact, ...coil]
}
