import type { components } from '../../shared/api/schema'

export type Way = NonNullable<components['schemas']['NewSymptom']['seen']>

/** The form of a new job, as it is typed. */
export interface Intake {
  about: 'starting' | 'charging' | 'circuit'
  thing: string
  situation: string
  how: Way
  complaint: string
  seen: string
  lamps: string[]
  tried: string
  by_whom: string
  fitted: boolean
}

export const EMPTY: Intake = {
  about: 'starting',
  thing: '',
  situation: '',
  how: 'dead',
  complaint: '',
  seen: '',
  lamps: [],
  tried: '',
  by_whom: '',
  fitted: false,
}

export const ABOUT = [
  { key: 'starting', label: 'starting' },
  { key: 'charging', label: 'charging' },
  { key: 'circuit', label: 'something else on its circuit' },
] as const

/** The order of work behind each; anything else on the circuit fails as any component can. */
export const orderOf = (about: Intake['about']) => (about === 'circuit' ? 'auxiliary_load' : about)

/** What somebody chose from the list goes by its id, which stands in brackets behind its name. */
const idOf = (thing: string) => /\(([^()]+)\)\s*$/.exec(thing)?.[1] ?? thing.trim()

export const named = (thing: { part: string; label: string }) => `${thing.label} (${thing.part})`

/** As the server knows complaints: starting and charging by their names, anything else by what fails, when and how. */
export function symptomFrom({ about, thing, situation, how }: Intake): components['schemas']['NewSymptom'] {
  if (about !== 'circuit') return { work: about, seen: how }
  return { work: orderOf(about), part: idOf(thing), situation: situation || null, seen: how }
}
