/** What comes in: a sheet as Drawing::Brief of the core writes it. */
export type Side = 'top' | 'bottom' | 'left' | 'right'

export interface BriefPort {
  id: string
  /** Node of the sheet, "K1:30"; none on a flag that names another sheet. */
  pin?: string
  name?: string
  /** None where it leads to another sheet. */
  wire?: string
  side: Side
  /** Ids of ports to travel to. */
  up?: string
  down?: string
}

export interface BriefNode {
  id: string
  kind: string
  part?: string
  uuid?: string
  zone?: string
  /** Of a plug: the way, and the half that looks up. */
  way?: string
  top?: string
  title: string
  label: string
  /** Of a flag: key of the other sheet, and the pin there. */
  sheet?: string
  at?: string
  contacts?: string[][]
  /** Stands at an end of a data line. */
  terminates?: boolean
  ports: BriefPort[]
}

export interface BriefEdge {
  wire?: string
  from: string
  to: string
  from_node: string
  to_node: string
}

export interface BriefWire {
  number: string
  colour?: string
  thick: boolean
  twisted_with?: string
}

export interface Strap {
  wire: string
  from: string
  to: string
}

export interface Brief {
  title: string
  wires: Record<string, BriefWire>
  bodies: Record<string, { uuid: string; label: string }>
  zones: { key: string; label: string }[]
  pieces: BriefPiece[]
}

/** What stands on one picture: the whole sheet, or a zone of it. */
export interface BriefPiece {
  zone: string | null
  label: string | null
  nodes: BriefNode[]
  edges: BriefEdge[]
  straps: Strap[]
  unwired: { id: string; uuid: string; title: string; label: string }[]
}

/** One picture with what the whole sheet knows. */
export type PictureBrief = BriefPiece & Omit<Brief, 'pieces'>

/** On the way: a node with the room that it needs. Several ways of a plug may stand in one. */
export interface Node extends Omit<BriefNode, 'way'> {
  ways: string[]
  width: number
  height: number
  /** Words beside it, the first in bold. */
  lines: string[]
  label_width: number
  label_height: number
  /** Its words stand below it rather than at its right. */
  below: boolean
}

export interface Model {
  nodes: Map<string, Node>
  edges: BriefEdge[]
}

export interface Box {
  x: number
  y: number
  width: number
  height: number
}

export type Point = [number, number]

/** Relative to the box of its part. */
export interface Shape {
  d: string
  look: 'outline' | 'line' | 'bold' | 'fill' | 'shade'
}

export interface Word {
  x: number
  y: number
  text: string
  anchor: 'start' | 'middle' | 'end'
  look: 'pin' | 'name'
}

export interface Pin {
  pin: string
  name: string
  side: Side
  /** Relative to the part; from to to where several wires share it. */
  x: number
  from: number
  to: number
  y: number
}

export interface PlacedPort {
  id: string
  pin: string | null
  wire: string | null
  side: Side
  x: number
  y: number
  up: string | null
  down: string | null
}

/** What goes out. */
export interface DrawnPart extends Box {
  id: string
  part: string | null
  uuid: string | null
  zone: string | null
  kind: string
  sheet: string | null
  at: string | null
  shapes: Shape[]
  words: Word[]
  label: (Box & { lines: string[] }) | null
  pins: Pin[]
  ports: PlacedPort[]
}

export interface WireLabel extends Box {
  lines: string[]
  /** Reads upwards, along the wire. */
  turned: boolean
}

export interface DrawnWire {
  /** None where it leads to another sheet. */
  wire: string | null
  number: string
  colour: string | null
  thick: boolean
  points: Point[]
  label: WireLabel | null
}

export interface Zone extends Box {
  key: string
  label: string | null
  label_at: Point | null
}

export interface Drawing {
  pictures: Picture[]
}

export interface Picture {
  zone: string | null
  label: string | null
  width: number
  height: number
  zones: Zone[]
  parts: DrawnPart[]
  wires: DrawnWire[]
  /** Pages of each paper: top and bottom of each piece, and the room that flags take above and below it. */
  cuts: Record<string, { scale: number; pages: { top: number; bottom: number; above: number; below: number }[] }>
  /** Wires whose label had to be the number alone, or lies on another wire. */
  faults: { wire: string; what: 'number only' | 'on a wire' }[]
}
