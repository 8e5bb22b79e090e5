import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import {
  live,
  opening,
  pin as pinQuery,
  unitCircuits,
  wire as wireQuery,
  type SheetTable,
} from '../../../shared/api/circuits'
import { difference } from '../../../shared/api/drafts'
import type { Looks, PartLook, WireLook } from '../../../shared/drawing/looks'
import { alongPin, alongWire, onConflicts, onDifference, onLive, onOpening, unmarked, type Marked } from './marked'
import type { Place } from '../useSheetPlace'

const PLAIN: PartLook = { shade: 'plain', mark: null, notes: [] }

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

/** What is asked of the sheet, answered on its drawing; one question at a time. */
function useMarked(sheet: SheetTable, place: Place, state: string): Marked {
  const { ask } = place
  const opened = ask === null ? place.open : null
  const since = ask === 'versions' ? place.since : null
  const disputed = ask === 'conflicts' && sheet.unit !== null
  const { data: pin } = useQuery({ ...pinQuery(sheet.id, place.pin ?? '', state), enabled: place.pin !== null })
  const { data: wire } = useQuery({ ...wireQuery(sheet.id, place.wire ?? ''), enabled: place.wire !== null })
  const { data: effects } = useQuery({ ...opening(sheet.id, opened ?? ''), enabled: opened !== null })
  const { data: terminals } = useQuery({ ...live(sheet.id, place.open, state), enabled: ask === 'live' })
  const { data: changes } = useQuery({ ...difference(since ?? '', sheet.version_id), enabled: since !== null })
  const { data: circuits } = useQuery({ ...unitCircuits(sheet.unit?.id ?? ''), enabled: disputed })

  return useMemo(() => {
    if (place.wire !== null && wire) return alongWire(wire)
    if (place.pin !== null && pin) return alongPin(pin)
    if (opened !== null) return onOpening(effects?.effects ?? [], opened, state)
    if (ask === 'live') return onLive(terminals?.terminals ?? [], place.open)
    if (disputed && circuits) return onConflicts(sheet, circuits.conflicts)
    if (since !== null && changes) return onDifference(sheet, changes.changes)
    return unmarked
  }, [sheet, place, state, ask, opened, since, disputed, pin, wire, effects, terminals, changes, circuits])
}

/** How the drawing answers what is asked of the sheet: net, path, what falls dead, what stays live; and what each wire is at. */
export function useLooks(sheet: SheetTable, place: Place, state: string): Looks {
  const stateIndex = sheet.states.findIndex((one) => one.key === state)
  const marked = useMarked(sheet, place, state)
  const stands = place.show === 'stands'
  return useMemo(() => looksFrom(sheet, stateIndex, stands, marked), [sheet, stateIndex, stands, marked])
}

function looksFrom(sheet: SheetTable, stateIndex: number, showsStands: boolean, { lit, marks, notes }: Marked): Looks {
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
