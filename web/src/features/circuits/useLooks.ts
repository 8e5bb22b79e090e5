import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import {
  live,
  opening,
  pin as pinQuery,
  unitCircuits,
  wire as wireQuery,
  type CircuitNet,
  type CircuitPath,
  type SheetTable,
} from '../../shared/api/circuits'
import type { Looks, PartLook, Shade, WireLook } from '../../shared/drawing/looks'
import { spokenVolt } from './spoken'
import type { Place } from './useSheetPlace'

const PLAIN: PartLook = { shade: 'plain', mark: null, notes: [] }
const partOf = (node: string) => node.split(':', 1)[0] ?? node

/** What was asked for stands out, in what it says of wires (by number) and parts; null leaves everything as it is. */
interface Lit {
  wires: Map<string, Shade>
  parts: Map<string, Shade>
}

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

/** So far apart the ends of a wire are told one by one. */
const APART_VOLT = 0.3

/** Short enough to stand where the colour of the wire stood: "25.1 V", or "25.1 to 23.8 V" where it loses some. */
function volts(sheet: SheetTable, stateIndex: number) {
  const at = new Map(sheet.parts.flatMap((part) => part.pins.map((pin) => [pin.node, pin.volts[stateIndex] ?? null])))
  const short = (volt: number) => volt.toFixed(Math.abs(volt) < 0.095 ? 2 : 1).replace('-0.00', '0.00')
  return (from: string, to: string) => {
    const [one, other] = [at.get(from) ?? null, at.get(to) ?? null]
    if (one === null || other === null) return one === other ? 'open' : `${short(one ?? other ?? 0)} V`
    return Math.abs(one - other) < APART_VOLT ? `${short(one)} V` : `${short(one)} to ${short(other)} V`
  }
}

/** How the drawing answers what is asked of the sheet: net, path, what falls dead, what stays live; and what each wire is at. */
export function useLooks(sheet: SheetTable, place: Place, state: string): Looks {
  const stateIndex = sheet.states.findIndex((one) => one.key === state)
  const { data: pin } = useQuery({ ...pinQuery(sheet.id, place.pin ?? '', state), enabled: place.pin !== null })
  const { data: wire } = useQuery({ ...wireQuery(sheet.id, place.wire ?? ''), enabled: place.wire !== null })
  const opened = place.ask === null ? place.open : null
  const { data: effects } = useQuery({ ...opening(sheet.id, opened ?? ''), enabled: opened !== null })
  const asksLive = place.ask === 'live'
  const { data: terminals } = useQuery({ ...live(sheet.id, place.open, state), enabled: asksLive })
  const asksConflicts = place.ask === 'conflicts' && sheet.unit !== null
  const { data: circuits } = useQuery({ ...unitCircuits(sheet.unit?.id ?? ''), enabled: asksConflicts })

  return useMemo(() => {
    let lit = litBy(place.pin !== null ? pin : undefined, place.wire !== null ? wire : undefined)
    const marks = new Map<string, PartLook['mark']>()
    const notes = new Map<string, string[]>()
    if (opened !== null) {
      for (const effect of effects?.effects ?? []) {
        if (effect.state === state) marks.set(partOf(effect.key), effect.change === 'dead' ? 'dead' : 'marked')
      }
      marks.set(partOf(opened), 'open')
    }
    if (asksLive) {
      for (const terminal of terminals?.terminals ?? []) {
        const id = partOf(terminal.pin)
        marks.set(id, 'live')
        notes.set(id, [...(notes.get(id) ?? []), `${terminal.pin.slice(id.length + 1)} ${spokenVolt(terminal.volt)}`])
      }
      if (place.open !== null) marks.set(place.open, 'open')
    }
    const conflicts = asksConflicts ? (circuits?.conflicts ?? []).filter((one) => one.ruling === null) : []
    const disputed = new Set(conflicts.flatMap((one) => one.items))
    if (disputed.size > 0) {
      lit ??= { wires: new Map(), parts: new Map(sheet.parts.map((part) => [part.id, 'plain'])) }
      for (const wire of sheet.wires) if (disputed.has(wire.uuid)) lit.wires.set(wire.number, 'suspect')
      for (const part of sheet.parts) if (disputed.has(part.uuid)) marks.set(part.id, 'marked')
    }
    return looksFrom(sheet, stateIndex, place.show === 'stands', lit, marks, notes)
  }, [sheet, place, state, stateIndex, pin, wire, opened, effects, asksLive, terminals, asksConflicts, circuits])
}

function litBy(
  pin: { net: CircuitNet; to_supply: CircuitPath; to_ground: CircuitPath } | undefined,
  wire: { net: CircuitNet } | undefined,
): Lit | null {
  if (wire) return alongNet(wire.net)
  if (!pin) return null
  const lit = alongNet(pin.net)
  alongPath(pin.to_ground, 'back', lit)
  alongPath(pin.to_supply, 'feed', lit)
  return lit
}

function looksFrom(
  sheet: SheetTable,
  stateIndex: number,
  showsStands: boolean,
  lit: Lit | null,
  marks: Map<string, PartLook['mark']>,
  notes: Map<string, string[]>,
): Looks {
  const between = volts(sheet, stateIndex)
  const wires = new Map<string, WireLook>(
    sheet.wires.map((wire) => [
      wire.uuid,
      {
        shade: lit ? (lit.wires.get(wire.number) ?? 'dim') : 'plain',
        stands: showsStands ? (wire.stands[stateIndex] ?? null) : null,
        words: showsStands && wire.stands[stateIndex] ? between(wire.from, wire.to) : null,
      },
    ]),
  )
  const other: WireLook = { shade: lit ? 'dim' : 'plain', stands: null, words: null }
  return {
    wire: (uuid) => (uuid === null ? other : (wires.get(uuid) ?? other)),
    part: (id) => {
      if (id === null) return PLAIN
      return {
        shade: lit ? (lit.parts.get(id) ?? 'dim') : 'plain',
        mark: marks.get(id) ?? null,
        notes: notes.get(id) ?? [],
      }
    },
  }
}
