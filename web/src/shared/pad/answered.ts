import type { Question } from '../api/types'
import { withTogether, type PadDraft } from './pad'

/** An odd value confirmed, or taken as it was meant: of the reading that was asked about. */
export function answered(draft: PadDraft, question: Question | undefined, value: number | null): PadDraft {
  if (question?.test_key) {
    const meant = value === null ? { confirmed: true } : { text: String(value), unit: question.base_unit }
    return withTogether(draft, question.test_key, meant)
  }
  return value === null
    ? { ...draft, said: { ...draft.said, value_confirmed: 'yes' } }
    : { ...draft, text: String(value), unit: question?.base_unit ?? draft.unit }
}
