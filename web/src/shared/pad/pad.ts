import type { NewReading, ProbeCard, Reading, TestCard } from '../api/types'

/** Which test the pad stands on, or which two points: a new reading, or a correction of one. */
export interface PadTarget {
  testKey: string | null
  probe?: ProbeCard
  position: string | null
  correcting?: Reading
  acknowledged?: boolean
  /** with a repair undone for its proof */
  undone?: boolean
  /** keys of the tests that are taken in the same act */
  together?: string[]
}

/** Another reading of the same act: its id stays the same however often it is sent. */
export interface Together {
  id: string
  text: string
  unit: string | null
  confirmed: boolean
}

const newTogether = (): Together => ({ id: crypto.randomUUID(), text: '', unit: null, confirmed: false })

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
  together: Record<string, Together>
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
  together: {},
}

/** Two points as the pad takes a test: the same keys and digits for both. */
function cardOf(probe: ProbeCard): TestCard {
  return {
    key: ['probe', probe.by, probe.from.node, probe.to.node, probe.situation, ...probe.opened].join(' '),
    label: probe.label,
    short: `${probe.from.node} to ${probe.to.node}`,
    quantity: probe.quantity,
    per_battery: false,
    positions: [],
    units: probe.units,
    cells: 1,
    choices: probe.choices,
    state: probe.situation,
    states: [probe.situation],
    state_label: probe.situation_label,
    instrument: probe.instrument,
    minutes: 0,
    how: '',
    loop: 'circuit',
    from: probe.from.label,
    to: probe.to.label,
    answers: [],
    cautions: probe.cautions,
    conditions: probe.conditions,
  }
}

/** What the pad stands on, as a card. */
export function padCard(target: PadTarget | null, tests: TestCard[]): TestCard | undefined {
  if (target?.probe) return cardOf(target.probe)
  return target ? tests.find((test) => test.key === target.testKey) : undefined
}

/** What a sound circuit shows there, in one line. */
export function expectedWords(probe: ProbeCard): string | null {
  const { shown, limit, objection } = probe.expected
  if (objection) return objection
  if (!shown) return null
  return limit ? `A sound circuit shows ${shown}, ${limit}` : `A sound circuit shows ${shown}`
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

/** The draft with something of another reading of the act typed or said. */
export function withTogether(draft: PadDraft, key: string, next: Partial<Together>): PadDraft {
  return { ...draft, together: { ...draft.together, [key]: { ...(draft.together[key] ?? newTogether()), ...next } } }
}

/** What else was read in the same act; empty ones were not. */
export function togetherFrom(draft: PadDraft, tests: TestCard[]): NonNullable<NewReading['together']> {
  return tests.flatMap((test) => {
    const typed = draft.together[test.key]
    if (!typed || typed.text.trim() === '') return []
    const confirmed = typed.confirmed ? { conditions: { value_confirmed: 'yes' } } : {}
    const { id, text: value_text, unit } = typed
    return [{ id, test_key: test.key, value_text, unit: unit ?? test.units[0] ?? '', ...confirmed }]
  })
}
