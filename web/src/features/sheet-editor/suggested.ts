import { createContext, useContext, useMemo } from 'react'
import type { Draft } from '../../shared/api/drafts'
import type { Choice } from '../../shared/ui/choices'

type Suggested = Record<string, readonly Choice[] | undefined>

/** What is offered while a column is typed, once for all rows of the page. */
export const SuggestedContext = createContext<Suggested>({})
export const useSuggested = () => useContext(SuggestedContext)

/** Kinds of parts, and the pins that the draft has. */
export function useSuggestions(draft: Draft | undefined): Suggested {
  const kinds = draft?.kinds
  const ends = draft?.ends
  return useMemo(() => {
    const pins = (ends ?? []).map((one) => ({ label: one }))
    return {
      kind: (kinds ?? []).map((one) => ({ label: one.kind, detail: one.facts.join(', ') })),
      from: pins,
      to: pins,
    }
  }, [kinds, ends])
}
