import type { SeenList } from '../../../shared/api/circuits'
import type { Answer } from './answers'

/** What was said, by thing, and after an @ by the key state it was seen in. */
export type Said = Record<string, Answer | undefined>

export const keyOf = (watch: string, state: string): string => (state === '' ? watch : `${watch}@${state}`)

/** The thing and the key state again; things of two sheets that have one name bear that of their sheet behind an @ of their own. */
export function parted(key: string, watches: { key: string }[]): { watch: string; state: string } {
  const at = key.lastIndexOf('@')
  return at < 0 || watches.some((one) => one.key === key)
    ? { watch: key, state: '' }
    : { watch: key.slice(0, at), state: key.slice(at + 1) }
}

/** As the question lists it: trouble codes are set by what does not work. */
export function listed(said: Said, codes: string[]): SeenList {
  const where = (answer: Answer) => Object.keys(said).filter((key) => said[key] === answer)
  return {
    dead: [...where('dead'), ...codes],
    weak: where('weak'),
    runs: where('runs'),
    low: where('low'),
    high: where('high'),
    working: where('works'),
  }
}

export const anythingBad = (seen: SeenList): boolean =>
  [seen.dead, seen.weak, seen.runs, seen.low, seen.high].some((keys) => keys.length > 0)
