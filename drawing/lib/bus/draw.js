import { placeLabels } from '../labels/place.js'
import { pinsOf } from '../pins.js'
import { box, circle, word } from '../symbols/pens.js'
import { symbolOf } from '../symbols/index.js'
import { LINE, SIZE, widthOf, wrap } from '../text.js'
import { lineOf } from './line.js'
import { sidesOf } from './sides.js'

/** @typedef {import('../types.js').DrawnPart} DrawnPart */
/** @typedef {import('../types.js').DrawnWire} DrawnWire */
/** @typedef {import('../types.js').BriefNode} BriefNode */
/** @typedef {import('../types.js').Point} Point */
/** @typedef {import('./line.js').Line} Line */
/** @typedef {{ x: number, y: number, side: import('../types.js').Side }} Spot */

const LEFT = 110
const STEP = 210
/** Where more hangs on the modules, that stands beside them. */
const WIDER = 260
const HIGH = 260
const LOW = HIGH + 40
/** From a line to a module that hangs on it. */
const REACH = 130
/** A module: its height, and how far apart its two pins stand; below the line farther, so that no wire comes to lie on one from above. */
const TALL = 46
const APART = { up: 44, down: 62 }
/** The second wire of a tap steps aside so far off its line. */
const ASIDE = 13
const WORDS = 110

/**
 * A data line as it is thought of: from end to end, modules above and below it.
 *
 * @param {import('../types.js').PictureBrief} brief
 * @returns {{ width: number, height: number, parts: DrawnPart[], wires: DrawnWire[], words: ReturnType<typeof placeLabels> } | null} null where
 *   the sheet is no such line, or has more on it than finds a place here
 */
export function drawLine(brief) {
  const line = lineOf(brief)
  if (!line) return null
  const board = new Board(brief, line)
  if (!board.put()) return null
  const { parts, wires } = board
  const right = Math.max(
    ...parts.map((part) => Math.max(part.x + part.width, part.label ? part.label.x + part.label.width : 0)),
  )
  const foot = Math.max(
    ...parts.map((part) => Math.max(part.y + part.height, part.label ? part.label.y + part.label.height : 0)),
  )
  const words = placeLabels({ parts, wires })
  return { width: Math.ceil(right + 40), height: Math.ceil(foot + 30), parts, wires, words }
}

class Board {
  /** @param {import('../types.js').PictureBrief} brief @param {Line} line */
  constructor(brief, line) {
    this.brief = brief
    this.line = line
    /** Which of both lines a wire is on: the upper one? */
    this.upper = sidesOf(line)
    /** @type {DrawnPart[]} */
    this.parts = []
    /** @type {DrawnWire[]} */
    this.wires = []
    /** @type {Map<string, Spot>} by the id of a port */
    this.spots = new Map()
    this.step = line.rest.length > 0 ? WIDER : STEP
  }

  /** @returns {boolean} whether everything found its place */
  put() {
    const { spine } = this.line
    spine.forEach((group, index) => this.standOnLine(group, index))
    for (const [index, group] of spine.entries()) if (!this.hang(group, index)) return false
    for (const wire of this.line.rest)
      if (!this.wires.some((one) => one.wire === wire.wire) && !this.aside(wire)) return false
    for (const pair of this.line.pairs)
      if (spine.includes(pair.from) && spine.includes(pair.to))
        for (const wire of [pair.one, pair.other]) this.along(wire)
    return this.wires.length === this.brief.edges.length
  }

  /** @param {string} group @param {number} index */
  standOnLine(group, index) {
    const nodes = this.line.groups.get(group) ?? []
    const x = LEFT + index * this.step
    if (nodes.every((node) => node.kind === 'splice' || node.kind === 'stud')) {
      for (const node of nodes) {
        const up = node.ports.some((port) => this.upper.get(port.wire ?? ''))
        const y = up ? HIGH : LOW
        for (const port of node.ports) this.spots.set(port.id, { x, y, side: up ? 'top' : 'bottom' })
        const wide = widthOf(node.title, SIZE.name, { heavy: true }) + 4
        this.part([node], { x: x - 6, y: y - 6, width: 12, height: 12 }, [circle(6, 6, 5.5, 'fill')], [], {
          x: x - 12 - wide,
          y: up ? y - 24 : y + 8,
          lines: [node.title],
        })
      }
      return
    }
    const plug = nodes[0]?.kind === 'connector'
    const half = plug ? 16 : 23
    const before = this.line.spine[index - 1]
    const comesFrom = (/** @type {import('../types.js').BriefPort} */ port) =>
      this.line.pairs.some(
        (pair) =>
          [pair.from, pair.to].includes(before ?? '') && [pair.one.wire, pair.other.wire].includes(port.wire ?? ''),
      )
    for (const port of nodes.flatMap((node) => node.ports)) {
      if (!this.upper.has(port.wire ?? '')) continue
      const left = comesFrom(port)
      this.spots.set(port.id, {
        x: x + (left ? -half : half),
        y: this.upper.get(port.wire ?? '') ? HIGH : LOW,
        side: left ? 'left' : 'right',
      })
    }
    const frame = { x: x - half, y: HIGH - 18, width: 2 * half, height: LOW - HIGH + 36 }
    const ports = nodes.flatMap((node) => node.ports)
    const first = ports.find((port) => comesFrom(port))?.name?.[0] ?? 'a'
    const names = ports
      .filter((port) => this.spots.has(port.id))
      .map((port) => {
        const spot = this.spots.get(port.id)
        const left = spot?.side === 'left'
        return word(
          left ? 3 : 2 * half - 3,
          (spot?.y ?? 0) - frame.y - 4,
          plug ? (port.name ?? '').slice(2) : (port.name ?? ''),
          left ? 'start' : 'end',
        )
      })
    const shapes = plug
      ? [box(0, 0, half, frame.height), box(half, 0, half, frame.height, 'shade')]
      : [box(0, 0, frame.width, frame.height)]
    const halves = plug
      ? [word(half / 2, -4, first, 'middle'), word(1.5 * half, -4, first === 'a' ? 'b' : 'a', 'middle')]
      : []
    const lines = [nodes[0]?.title ?? '', ...wrap(nodes[0]?.label ?? '', WORDS)]
    this.part(nodes, frame, shapes, [...names, ...halves], { x: frame.x, y: frame.y + frame.height + 22, lines })
  }

  /** What hangs on a place of the line: one above and one below. @param {string} group @param {number} index */
  hang(group, index) {
    const taps = this.line.pairs.flatMap((pair) => {
      const other = pair.from === group ? pair.to : pair.to === group ? pair.from : null
      return other !== null && !this.line.spine.includes(other) ? [{ pair, other }] : []
    })
    if (taps.length === 0) return true
    const onSplices = (this.line.groups.get(group) ?? []).every(
      (node) => node.kind === 'splice' || node.kind === 'stud',
    )
    if (
      taps.length > 2 ||
      !onSplices ||
      taps.some(({ other }) => this.line.pairs.filter((pair) => [pair.from, pair.to].includes(other)).length > 1)
    )
      return false
    taps.forEach(({ pair, other }, at) =>
      this.tap(pair, other, LEFT + index * this.step, (taps.length === 1 ? index : at) % 2 === 0),
    )
    return true
  }

  /** @param {import('./line.js').Pair} pair @param {string} group @param {number} x @param {boolean} up */
  tap(pair, group, x, up) {
    const nodes = this.line.groups.get(group) ?? []
    const edge = up ? HIGH - REACH : LOW + REACH
    const apart = up ? APART.up : APART.down
    const frame = { x: x - 18, y: up ? edge - TALL : edge, width: apart + 40, height: TALL }
    /** @type {import('../types.js').Word[]} */
    const names = []
    for (const wire of [pair.one, pair.other]) {
      const above = this.upper.get(wire.wire) === true
      // Each keeps to its own line: the one that is nearer goes straight, the other steps aside.
      const straight = above === up
      const at = straight ? x : x + apart
      const from = above ? HIGH : LOW
      const [here, there] =
        wire.ends[0].node && nodes.includes(wire.ends[0].node) ? [wire.ends[1], wire.ends[0]] : wire.ends
      this.spots.set(there.port.id, { x: at, y: edge, side: up ? 'bottom' : 'top' })
      const turn = from + (up ? -ASIDE : ASIDE)
      /** @type {Point[]} */
      const points = straight
        ? [
            [x, from],
            [x, edge],
          ]
        : [
            [x, from],
            [x, turn],
            [at, turn],
            [at, edge],
          ]
      this.wire(wire.wire, here.port.id === this.startOf(wire) ? points : points.reverse())
      const name = there.node.kind === 'connector' ? (there.port.name ?? '').slice(2) : (there.port.name ?? '')
      names.push(word(at - frame.x + 4, up ? TALL - 5 : 12, name))
    }
    const lines = [nodes[0]?.title ?? '', ...wrap(nodes[0]?.label ?? '', WORDS)]
    const label = { x: frame.x, y: up ? frame.y - LINE * lines.length - 4 : frame.y + TALL + 4, lines }
    this.part(nodes, frame, [box(0, 0, frame.width, frame.height)], names, label)
  }

  /** What else hangs on a module: at its right, down to a ground, over one part at most. @param {import('./line.js').Wire} wire */
  aside(wire) {
    const module = wire.ends
      .map((end) => this.parts.find((part) => part.part === end.part))
      .find((part) => part !== undefined)
    const near = wire.ends.find((end) => end.part === module?.part)
    const far = wire.ends.find((end) => end !== near)
    if (!module || !near || !far || this.parts.some((part) => part.part === far.part && part.kind !== 'metal'))
      return false
    if (
      this.wires.some((one) => one.points.some(([x, y]) => x === module.x + module.width && y === module.y + TALL / 2))
    )
      return false
    const from = { x: module.x + module.width, y: module.y + TALL / 2 }
    // Clear of the words below the module.
    const x = Math.max(from.x + 30, module.label ? module.label.x + module.label.width + 26 : 0)
    const ports = module.ports
    this.place(near.port, { ...from, side: 'right' }, ports)
    module.pins = pinsOf(
      ports.map((port) => ({
        ...near.port,
        ...port,
        name: nameOf(this.brief, port.id),
        x: port.x - module.x,
        y: port.y - module.y,
        pin: port.pin ?? undefined,
        wire: port.wire ?? undefined,
        up: port.up ?? undefined,
        down: port.down ?? undefined,
      })),
    )
    return this.chain(wire, far, [
      [from.x, from.y],
      [x, from.y],
      [x, from.y + 34],
    ])
  }

  /** @param {import('./line.js').Wire} wire @param {import('./line.js').End} end @param {Point[]} points @returns {boolean} */
  chain(wire, end, points) {
    const [x, y] = points.at(-1) ?? [0, 0]
    this.wire(wire.wire, end.port.id === this.startOf(wire) ? [...points].reverse() : points)
    this.spots.set(end.port.id, { x, y, side: 'top' })
    if (['ground', 'metal'].includes(end.node.kind)) {
      const { shapes } = symbolOf(end.node.kind).draw(toDraw(end.node, 28, 20, [{ x: 14, y: 0 }]))
      const lines = [end.node.title, ...wrap(end.node.label, 80)]
      this.part([end.node], { x: x - 14, y, width: 28, height: 20 }, shapes, [], { x: x - 14, y: y + 22, lines })
      return end.node.ports.length === 1
    }
    const next = this.line.rest.find((other) => other !== wire && other.ends.some((one) => one.part === end.part))
    const out = next?.ends.find((one) => one.part === end.part)
    const far = next?.ends.find((one) => one !== out)
    if (!next || !out || !far || end.node.ports.length !== 2) return false
    this.spots.set(out.port.id, { x, y: y + TALL, side: 'bottom' })
    const pins = /** @type {const} */ ([
      [end.port, 0],
      [out.port, TALL],
    ])
    const names = pins.map(([port, at]) => word(28, at === 0 ? 12 : TALL - 5, port.name ?? ''))
    this.part(
      [end.node],
      { x: x - 24, y, width: 48, height: TALL },
      [box(0, 0, 48, TALL), box(19, 15, 10, 16)],
      names,
      { x: x + 30, y: y + 8, lines: [end.node.title, ...wrap(end.node.label, 84)] },
    )
    return this.chain(next, far, [
      [x, y + TALL],
      [x, y + TALL + 40],
    ])
  }

  /** A stretch of the line. @param {import('./line.js').Wire} wire */
  along(wire) {
    const [from, to] = wire.ends.map((end) => this.spots.get(end.port.id))
    if (from && to)
      this.wire(
        wire.wire,
        wire.ends[0].port.id === this.startOf(wire)
          ? [
              [from.x, from.y],
              [to.x, to.y],
            ]
          : [
              [to.x, to.y],
              [from.x, from.y],
            ],
      )
  }

  /** @param {import('./line.js').Wire} wire @returns {string | undefined} id of the port where its edge begins */
  startOf(wire) {
    return this.brief.edges.find((edge) => edge.wire === wire.wire)?.from
  }

  /** @param {string} id @param {Point[]} points */
  wire(id, points) {
    const facts = this.brief.wires[id]
    this.wires.push({
      wire: id,
      number: facts?.number ?? '',
      colour: facts?.colour ?? null,
      thick: facts?.thick ?? false,
      points,
      label: null,
    })
  }

  /** @param {import('../types.js').BriefPort} port @param {Spot} spot @param {import('../types.js').PlacedPort[]} ports */
  place(port, spot, ports) {
    ports.push({
      id: port.id,
      pin: port.pin ?? null,
      wire: port.wire ?? null,
      side: spot.side,
      x: spot.x,
      y: spot.y,
      up: port.up ?? null,
      down: port.down ?? null,
    })
  }

  /**
   * @param {BriefNode[]} nodes @param {import('../types.js').Box} frame @param {import('../types.js').Shape[]} shapes
   * @param {import('../types.js').Word[]} words @param {{ x: number, y: number, lines: string[] }} label
   */
  part(nodes, frame, shapes, words, label) {
    const [node] = nodes
    if (!node) return
    /** @type {import('../types.js').PlacedPort[]} */
    const ports = []
    const placed = nodes
      .flatMap((one) => one.ports)
      .flatMap((port) => {
        const spot = this.spots.get(port.id)
        if (!spot) return []
        this.place(port, spot, ports)
        return [{ ...port, side: spot.side, x: spot.x - frame.x, y: spot.y - frame.y }]
      })
    const lines = label.lines.filter(Boolean)
    const width =
      Math.ceil(Math.max(...lines.map((text, index) => widthOf(text, SIZE.name, { heavy: index === 0 })))) + 4
    this.parts.push({
      id: node.id,
      part: node.part ?? null,
      uuid: node.uuid ?? null,
      zone: node.zone ?? null,
      kind: node.kind,
      sheet: null,
      at: null,
      ...frame,
      shapes,
      words,
      label: { x: label.x, y: label.y, width, height: lines.length * LINE, lines },
      pins: pinsOf(placed),
      ports,
    })
  }
}

/** @param {import('../types.js').PictureBrief} brief @param {string} id */
const nameOf = (brief, id) => brief.nodes.flatMap((node) => node.ports).find((port) => port.id === id)?.name

/** @param {BriefNode} node @param {number} width @param {number} height @param {{ x: number, y: number }[]} ports */
const toDraw = (node, width, height, ports) => ({
  width,
  height,
  id: node.id,
  kind: node.kind,
  title: node.title,
  label: node.label,
  top: undefined,
  pins: [],
  ports,
})
