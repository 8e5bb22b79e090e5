import ELK from 'elkjs/lib/elk.bundled.js'
import { SIZE, widthOf } from '../text.js'
import { symbolOf } from '../symbols/index.js'
import { spotsOf } from './model.js'
import { options } from './options.js'

/** @typedef {import('../types.js').Model} Model */
/** @typedef {import('../types.js').BriefPort} Port */
/** @typedef {Map<string, Port[]>} Orders ports of each node from left to right */

// @ts-expect-error the package's types name a default that Node wraps once more
const elk = new ELK()
const LABEL_HEIGHT = 15

/**
 * Has the layouter place a model.
 *
 * @param {Model} model
 * @param {object} how
 * @param {number} how.seed
 * @param {Orders} [how.orders] fixes where ports lie; without it only their sides are fixed
 * @param {Map<string, string>} [how.labels] words that need room of their own, by the number of the edge
 */
export async function layOut(model, { seed, orders, labels = new Map() }) {
  const fed = new Set(model.edges.map((edge) => edge.to_node))
  const children = [...model.nodes.values()].map((node) => ({
    id: node.id,
    width: node.width,
    height: node.height,
    ports: ports(node, orders?.get(node.id)),
    labels:
      node.lines.length > 0
        ? [{ text: node.lines.join('\n'), width: node.label_width, height: node.label_height }]
        : [],
    layoutOptions: {
      'elk.portConstraints': orders ? 'FIXED_POS' : 'FIXED_SIDE',
      'elk.spacing.portPort': String(symbolOf(node.kind).pitch),
      'elk.nodeLabels.placement': node.below ? '[OUTSIDE, V_BOTTOM, H_CENTER]' : '[OUTSIDE, H_RIGHT, V_CENTER]',
      ...(node.kind === 'battery' && !fed.has(node.id) ? { 'elk.layered.layering.layerConstraint': 'FIRST' } : {}),
    },
  }))
  const edges = model.edges.map((edge, index) => ({
    id: String(index),
    sources: [edge.from],
    targets: [edge.to],
    labels: label(labels.get(String(index))),
  }))
  return elk.layout({ id: 'root', layoutOptions: { ...options, 'elk.randomSeed': String(seed) }, children, edges })
}

/** @param {import('../types.js').Node} node @param {Port[]} [order] */
function ports(node, order) {
  const spots = order ? spotsOf(node, order) : null
  return (order ?? node.ports).map((port) => ({
    id: port.id,
    width: 0,
    height: 0,
    ...(spots ? { x: spots.get(port.id), y: port.side === 'top' ? 0 : node.height } : {}),
    layoutOptions: { 'elk.port.side': port.side === 'top' ? 'NORTH' : 'SOUTH' },
  }))
}

/** @param {string} [text] */
const label = (text) =>
  text === undefined
    ? []
    : [
        {
          text,
          width: Math.ceil(widthOf(text, SIZE.wire)) + 8,
          height: LABEL_HEIGHT,
          layoutOptions: { 'elk.edgeLabels.inline': 'false', 'elk.edgeLabels.placement': 'CENTER' },
        },
      ]
