import { pinsOf } from '../pins.js'
import { symbolOf } from '../symbols/index.js'

/** @typedef {import('../types.js').DrawnPart} DrawnPart */
/** @typedef {import('../types.js').DrawnWire} DrawnWire */
/** @typedef {import('../types.js').Point} Point */

/**
 * What the layouter answered, as parts with their outlines and wires with their points.
 *
 * @param {import('../types.js').PictureBrief} brief
 * @param {import('../types.js').Model} model
 * @param {import('elkjs').ElkNode} laid
 * @returns {{ width: number, height: number, parts: DrawnPart[], wires: DrawnWire[] }}
 */
export function flat(brief, model, laid) {
  const parts = (laid.children ?? []).map((child) => part(model, child))
  const wires = (laid.edges ?? []).map((edge) => wire(brief, model, edge))
  return { width: Math.ceil(laid.width ?? 0), height: Math.ceil(laid.height ?? 0), parts, wires }
}

/** @param {import('../types.js').Model} model @param {import('elkjs').ElkNode} child @returns {DrawnPart} */
function part(model, child) {
  const node = model.nodes.get(child.id)
  if (!node) throw new Error(`the layouter made up ${child.id}`)
  const [x, y] = [child.x ?? 0, child.y ?? 0]
  const ports = (child.ports ?? []).map((placed) => {
    const port = node.ports.find((one) => one.id === placed.id)
    if (!port) throw new Error(`the layouter made up ${placed.id}`)
    return { ...port, x: placed.x ?? 0, y: placed.y ?? 0 }
  })
  const pins = pinsOf(ports)
  const { width, height, part: id, kind, title, label, top } = node
  const drawn = symbolOf(kind).draw({ width, height, id, kind, title, label, top, pins, ports })
  const beside = child.labels?.[0]
  return {
    id: node.id,
    part: node.part ?? null,
    uuid: node.uuid ?? null,
    zone: node.zone ?? null,
    kind,
    sheet: node.sheet ?? null,
    at: node.at ?? null,
    x,
    y,
    width,
    height,
    shapes: drawn.shapes,
    words: drawn.words,
    label: beside
      ? {
          x: x + (beside.x ?? 0),
          y: y + (beside.y ?? 0),
          width: node.label_width,
          height: node.label_height,
          lines: node.lines,
        }
      : null,
    pins,
    ports: ports.map((port) => ({
      id: port.id,
      pin: port.pin ?? null,
      wire: port.wire ?? null,
      side: port.side,
      x: x + port.x,
      y: y + port.y,
      up: port.up ?? null,
      down: port.down ?? null,
    })),
  }
}

/**
 * @param {import('../types.js').PictureBrief} brief
 * @param {import('../types.js').Model} model
 * @param {import('elkjs').ElkExtendedEdge} edge
 * @returns {DrawnWire}
 */
function wire(brief, model, edge) {
  const id = model.edges[Number(edge.id)]?.wire
  const facts = id === undefined ? undefined : brief.wires[id]
  const section = edge.sections?.[0]
  if (!section) throw new Error(`the layouter left out ${facts?.number ?? edge.id}`)
  const points = [section.startPoint, ...(section.bendPoints ?? []), section.endPoint]
  const room = edge.labels?.[0]
  return {
    wire: id ?? null,
    number: facts?.number ?? '',
    colour: facts?.colour ?? null,
    thick: facts?.thick ?? false,
    points: points.map(({ x, y }) => /** @type {Point} */ ([x, y])),
    label: room
      ? {
          x: room.x ?? 0,
          y: room.y ?? 0,
          width: room.width ?? 0,
          height: room.height ?? 0,
          lines: [room.text ?? ''],
          turned: false,
        }
      : null,
  }
}
