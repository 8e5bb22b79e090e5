import type { TestCard } from '../api/types'
import { written } from '../quantities/written'
import { Segments } from '../ui/Segments'
import { withTogether, type PadDraft } from './pad'

/** What else is read while somebody is at the key anyway, each with its two points; what stays empty was not read. */
export function SameCrank({
  tests,
  draft,
  errors,
  onWriting,
  onDraft,
}: {
  tests: TestCard[]
  draft: PadDraft
  errors: Record<string, string[]>
  onWriting: (key: string) => void
  onDraft: (next: PadDraft) => void
}) {
  if (tests.length === 0) return null
  return (
    <fieldset className="flex flex-col gap-3">
      <legend className="pb-2 font-bold">In the same crank, what you can</legend>
      {tests.map((test) => {
        const typed = draft.together[test.key]
        const error = errors[`together.${test.key}`]?.[0]
        const id = `together-${test.key}`
        return (
          <div key={test.key} className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 gap-y-1">
            <label htmlFor={id} className="min-w-0">
              <span className="font-semibold">{test.short}</span>
              {test.from && test.to && (
                <span className="block text-quiet">
                  {test.from} to {test.to}
                </span>
              )}
            </label>
            <span className="flex items-center">
              <input
                id={id}
                inputMode="decimal"
                autoComplete="off"
                aria-invalid={error ? true : undefined}
                aria-describedby={error ? `${id}-error` : undefined}
                className="min-h-14 w-24! text-reading font-semibold desk:w-28!"
                value={typed?.text ?? ''}
                onFocus={() => {
                  onWriting(test.key)
                }}
                onChange={(event) => {
                  onDraft(withTogether(draft, test.key, { text: event.target.value }))
                }}
              />
              {test.units.length > 1 ? (
                <Segments
                  label={`Unit of ${test.short}`}
                  size="tall"
                  options={test.units.map((symbol) => ({ key: symbol, label: written(symbol) }))}
                  chosen={typed?.unit ?? test.units[0]}
                  onChoose={(unit) => {
                    onDraft(withTogether(draft, test.key, { unit }))
                  }}
                />
              ) : (
                <span className="w-14 pl-2 text-lead">{written(test.units[0] ?? '')}</span>
              )}
            </span>
            {error && (
              <p id={`${id}-error`} className="col-span-2 font-semibold text-act">
                {error}
              </p>
            )}
          </div>
        )
      })}
    </fieldset>
  )
}
