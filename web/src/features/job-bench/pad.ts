import type { NewReading, Reading, TestCard } from '../../shared/api/types'

/** Which test the pad stands on: a new reading, or a correction of one. */
export interface PadTarget {
  testKey: string
  position: string | null
  correcting?: Reading
  acknowledged?: boolean
}

/** What is on the pad: raw text as typed, conditions as said. */
export interface PadDraft {
  text: string
  unit: string
  cells: string[]
  observation: string
  state: string
  instrument: string
  said: Record<string, string>
  reason: string
}

export const EMPTY_DRAFT: PadDraft = {
  text: '',
  unit: '',
  cells: [],
  observation: '',
  state: '',
  instrument: '',
  said: {},
  reason: '',
}

type Entry = Pick<
  NewReading,
  'id' | 'value_text' | 'unit' | 'cells_text' | 'observation' | 'state' | 'instrument' | 'conditions'
>

/** What was read, as it is sent: text and unit as entered; the server parses and judges. */
export function entryFrom(draft: PadDraft, test: TestCard, id: string): Entry {
  const said = Object.fromEntries(Object.entries(draft.said).filter(([, answer]) => answer !== ''))
  const { state, instrument } = draft
  const entry = { id, state: state || test.state, instrument: instrument || test.instrument, conditions: said }
  if (test.quantity === 'observation') return { ...entry, observation: draft.observation }
  if (test.cells > 1) {
    return { ...entry, cells_text: Array.from({ length: test.cells }, (_, index) => draft.cells[index] ?? '') }
  }
  return { ...entry, value_text: draft.text, unit: draft.unit || (test.units[0] ?? '') }
}
