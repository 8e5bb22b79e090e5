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

const LABELS: readonly { key: Answer; label: string }[] = [...SIGNAL_ANSWERS, ...ANSWERS]

/** The word of an answer; of a signal that is right, and of a thing that works. */
export const spokenAnswer = (answer: Answer, signal: boolean): string =>
  (signal ? SIGNAL_ANSWERS : ANSWERS).find(({ key }) => key === answer)?.label ??
  LABELS.find(({ key }) => key === answer)?.label ??
  answer
