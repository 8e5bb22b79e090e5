/** What may be said of a thing that was looked at, and of a signal that was read. */
export const ANSWERS = [
  { key: 'dead', label: 'dead' },
  { key: 'weak', label: 'weak' },
  { key: 'works', label: 'works' },
  { key: 'runs', label: 'stays on' },
] as const
export const SIGNAL_ANSWERS = [
  { key: 'low', label: 'too low' },
  { key: 'high', label: 'too high' },
  { key: 'works', label: 'right' },
] as const
export type Answer = (typeof ANSWERS | typeof SIGNAL_ANSWERS)[number]['key']

const LABELS: Record<Answer, string> = Object.fromEntries(
  [...SIGNAL_ANSWERS, ...ANSWERS].map(({ key, label }) => [key, label]),
) as Record<Answer, string>

/** The word of an answer: of a signal that it is right, of a thing that it works. */
export const spokenAnswer = (answer: Answer, signal: boolean): string =>
  signal && answer === 'works' ? 'right' : LABELS[answer]
