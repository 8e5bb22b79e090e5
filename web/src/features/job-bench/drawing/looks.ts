import type { JobDrawing } from '../../../shared/api/jobs'
import { partOf, spokenPin } from '../../../shared/drawing/names'
import type { Looks, PartLook, Shade } from '../../../shared/drawing/looks'

type Word = JobDrawing['suspects'][number]['word']
const MARK: Record<Word, 'fault' | 'suspect'> = {
  'at fault': 'fault',
  'strong suspect': 'suspect',
  suspected: 'suspect',
}

const pinOf = (node: string) => node.slice(partOf(node).length + 1)

/** What was read, where it belongs: "87 3.10 V", and across from where to where. */
function notesOf(data: JobDrawing): Map<string, string[]> {
  const notes = new Map<string, string[]>()
  for (const { at, spoken, verdict } of data.readings) {
    const [one, other] = at
    if (one === undefined) continue
    const name = spokenPin(one) === one ? `${pinOf(one)} ` : ''
    const words = `${name}${spoken}${other === undefined ? '' : ` to ${spokenPin(other)}`}, ${verdict}`
    notes.set(partOf(one), [...(notes.get(partOf(one)) ?? []), words])
  }
  return notes
}

/** Readings at their parts, suspects and what is convicted ringed; of a wire its whole length. */
export function looksOf(data: JobDrawing): Looks {
  const notes = notesOf(data)
  const marks = new Map<string, Word>()
  const wires = new Map<string, Shade>()
  for (const { word, parts, wires: uuids } of data.suspects) {
    for (const part of parts) if (!marks.has(part)) marks.set(part, word)
    for (const uuid of uuids) if (!wires.has(uuid)) wires.set(uuid, MARK[word])
  }
  const look = (id: string): PartLook => {
    const said = notes.get(id) ?? []
    const word = marks.get(id)
    if (word) return { shade: 'plain', mark: MARK[word], notes: word === 'at fault' ? said : [word, ...said] }
    return { shade: 'plain', mark: said.length > 0 ? 'read' : null, notes: said }
  }
  const plain: PartLook = { shade: 'plain', mark: null, notes: [] }
  return {
    wire: (uuid) => ({ shade: wires.get(uuid ?? '') ?? 'plain', stands: null, words: null }),
    part: (id) => (id === null ? plain : look(id)),
  }
}
