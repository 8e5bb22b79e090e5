import { useQuery } from '@tanstack/react-query'
import { catalogue } from '../api/catalogue'
import type { TestCard } from '../api/types'
import { Field } from '../ui/Field'
import type { PadDraft } from './pad'

/** State and instrument as the test asks for them; another one is a tap away, and the verdict says what it costs. */
export function TakenWith({
  test,
  draft,
  onDraft,
}: {
  test: TestCard
  draft: PadDraft
  onDraft: (next: PadDraft) => void
}) {
  const { data: lists } = useQuery(catalogue())
  const states = lists?.states ?? []
  const state = draft.state || test.state
  const instrument = draft.instrument || test.instrument
  const words = states.find((one) => one.key === state)?.label ?? test.state_label
  const unusual = state !== test.state || instrument !== test.instrument
  return (
    <details open={unusual || test.states.length > 1}>
      <summary className="flex min-h-12 cursor-pointer flex-wrap items-center gap-x-3">
        <span className="font-bold">Taken</span>
        <span>
          {words}, {instrument}
        </span>
        <span className="font-label link-words">change</span>
      </summary>
      <div className="grid grid-cols-[repeat(auto-fit,minmax(9rem,1fr))] gap-4">
        <Field label="State">
          {(wiring) => (
            <select
              {...wiring}
              value={state}
              onChange={(event) => {
                onDraft({ ...draft, state: event.target.value })
              }}
            >
              {states.map((one) => (
                <option key={one.key} value={one.key}>
                  {one.label}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field label="With">
          {(wiring) => (
            <select
              {...wiring}
              value={instrument}
              onChange={(event) => {
                onDraft({ ...draft, instrument: event.target.value })
              }}
            >
              {(lists?.instruments ?? [instrument]).map((one) => (
                <option key={one}>{one}</option>
              ))}
            </select>
          )}
        </Field>
      </div>
    </details>
  )
}
