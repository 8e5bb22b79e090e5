import type { CircuitNet, CircuitPath, SheetTable, UnitCircuits } from '../../../shared/api/circuits'
import type { SheetChange } from '../../../shared/api/drafts'
import type { components } from '../../../shared/api/schema'
import type { PartLook, Shade } from '../../../shared/drawing/looks'
import { partOf } from '../../../shared/drawing/names'
import { spokenVolt } from '../spoken'

type Answers = components['schemas']

/** What one question makes of the drawing: what stands out, in what it says of wires (by number) and parts, what is ringed, what is noted. */
export interface Marked {
  /** null leaves everything as it is. */
  lit: Lit | null
  marks: Map<string, PartLook['mark']>
  notes: Map<string, string[]>
}

interface Lit {
  wires: Map<string, Shade>
  parts: Map<string, Shade>
}

const marked = (): Marked => ({ lit: null, marks: new Map(), notes: new Map() })

function alongNet(net: CircuitNet): Lit {
  return {
    wires: new Map(net.runs.map((run) => [run.number, 'lit'])),
    parts: new Map([
      ...net.joints.map((joint) => [partOf(joint), 'lit'] as const),
      ...net.runs.flatMap((run) => [run.from, run.to].map((node) => [partOf(node), 'lit'] as const)),
    ]),
  }
}

function alongPath(path: CircuitPath, shade: Shade, lit: Lit) {
  for (const step of path.steps) {
    const wire = /^wire (\S+)/.exec(step.item)?.[1]
    if (wire !== undefined) lit.wires.set(wire, shade)
    for (const node of [step.from, step.to]) lit.parts.set(partOf(node), shade)
  }
}

/** A wire with its net. */
export const alongWire = ({ net }: { net: CircuitNet }): Marked => ({ ...marked(), lit: alongNet(net) })

/** A pin with its net and its ways to supply and to ground. */
export function alongPin(pin: { net: CircuitNet; to_supply: CircuitPath; to_ground: CircuitPath }): Marked {
  const lit = alongNet(pin.net)
  alongPath(pin.to_ground, 'back', lit)
  alongPath(pin.to_supply, 'feed', lit)
  return { ...marked(), lit }
}

/** What changes when something opens, in one key state. */
export function onOpening(effects: Answers['OpeningAnswer']['effects'], opened: string, state: string): Marked {
  const said = marked()
  for (const effect of effects) {
    if (effect.state === state) said.marks.set(partOf(effect.key), effect.change === 'dead' ? 'dead' : 'marked')
  }
  said.marks.set(partOf(opened), 'open')
  return said
}

/** What stays live, with its volts. */
export function onLive(terminals: Answers['LiveAnswer']['terminals'], open: string | null): Marked {
  const said = marked()
  for (const terminal of terminals) {
    const id = partOf(terminal.pin)
    said.marks.set(id, 'live')
    said.notes.set(id, [
      ...(said.notes.get(id) ?? []),
      `${terminal.pin.slice(id.length + 1)} ${spokenVolt(terminal.volt)}`,
    ])
  }
  if (open !== null) said.marks.set(open, 'open')
  return said
}

/** What the drawings dispute and nobody ruled on. */
export function onConflicts(sheet: SheetTable, conflicts: UnitCircuits['conflicts']): Marked {
  const disputed = new Set(conflicts.filter((one) => one.ruling === null).flatMap((one) => one.items))
  const said = marked()
  if (disputed.size === 0) return said
  const wires = sheet.wires.map((wire) => [wire.number, disputed.has(wire.uuid) ? 'suspect' : 'dim'] as const)
  said.lit = { wires: new Map(wires), parts: new Map(sheet.parts.map((part) => [part.id, 'plain'])) }
  for (const part of sheet.parts) if (disputed.has(part.uuid)) said.marks.set(part.id, 'marked')
  return said
}

/** What is otherwise than in another version; what is gone is in the words alone. */
export function onDifference(sheet: SheetTable, changes: SheetChange[]): Marked {
  const what = new Map(changes.map((change) => [change.uuid, change.what]))
  const said = marked()
  if (changes.length === 0) return said
  const wires = sheet.wires.filter((wire) => what.has(wire.uuid)).map((wire) => [wire.number, 'lit'] as const)
  const parts = sheet.parts.filter((part) => what.has(part.uuid))
  said.lit = { wires: new Map(wires), parts: new Map(parts.map((part) => [part.id, 'lit'])) }
  for (const part of parts) {
    said.marks.set(part.id, 'marked')
    said.notes.set(part.id, [what.get(part.uuid) ?? ''])
  }
  return said
}

export const unmarked = marked()
