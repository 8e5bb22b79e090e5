/** What may be said of a thing that was looked at. */
export const ANSWERS = [
  { key: 'dead', label: 'dead' },
  { key: 'works', label: 'works' },
] as const
export type Answer = (typeof ANSWERS)[number]['key']
