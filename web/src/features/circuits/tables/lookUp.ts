import type { SheetTable } from '../../../shared/api/circuits'
import type { Place } from '../useSheetPlace'

/** "A1:B87" is A1:B/87 as well. */
const runTogether = (name: string) => name.toLowerCase().replace(/[/ ]/g, '')

const holds = (words: string, ...texts: (string | null)[]) => texts.some((text) => text?.toLowerCase().includes(words))

/** What of a sheet the typed words leave, and where Enter lands: "K11:86", "K11", "27" or "wire 27". */
export function lookUp(sheet: SheetTable, typed: string) {
  const words = typed
    .trim()
    .toLowerCase()
    .replace(/^wire\s+/, '')
  const parts = sheet.parts.filter(
    (part) =>
      holds(words, part.id, part.label, part.kind) ||
      part.pins.some((pin) => holds(words, pin.node) || pin.wires.some((number) => number.toLowerCase() === words)),
  )
  const wires = sheet.wires.filter((wire) => holds(words, wire.number, wire.from, wire.to, wire.colour))
  const pin = sheet.parts.flatMap((part) => part.pins).find((one) => runTogether(one.node) === runTogether(words))
  const part = sheet.parts.find((one) => one.id.toLowerCase() === words)
  const wire = wires.find((one) => one.number.toLowerCase() === words)
  const landing: Partial<Place> | undefined =
    (pin && { pin: pin.node }) ?? (part && { part: part.id }) ?? (wire && { wire: wire.number })
  return { parts, wires, landing }
}
