import { Button } from '../../shared/ui/Button'
import { useWide } from '../../shared/ui/useWide'
import type { SheetTable } from '../../shared/api/circuits'
import type { Place } from './useSheetPlace'

/** What is its own has its link in the head. */
type Question = Exclude<NonNullable<Place['ask']>, 'own'>

const WORDS: Record<Question, string> = {
  cause: 'Dead and working',
  live: 'What stays live',
  stops: 'Stops',
  conflicts: 'Conflicts',
  versions: 'Versions',
}

/** What can be asked of the whole sheet: in a row, on a phone in one line that opens. */
export function Questions({
  sheet,
  place,
  go,
}: {
  sheet: SheetTable
  place: Place
  go: (next: Partial<Place>) => void
}) {
  const wide = useWide()
  const questions: Question[] = [
    'cause',
    'live',
    ...(sheet.stops > 0 && sheet.joined.length === 0 ? (['stops'] as const) : []),
    ...(sheet.unit ? (['conflicts'] as const) : []),
    ...(sheet.joined.length === 0 ? (['versions'] as const) : []),
  ]
  const ask = (key: Place['ask']) => {
    const isolator = sheet.parts.find((part) => part.kind === 'isolator')
    go(key === 'live' ? { ask: key, open: isolator?.id ?? null } : { ask: key })
  }
  if (!wide)
    return (
      <select
        aria-label="Ask the sheet"
        value={place.ask === 'own' ? '' : (place.ask ?? '')}
        onChange={(event) => {
          ask(questions.find((key) => key === event.target.value) ?? null)
        }}
      >
        <option value="">Ask the sheet</option>
        {questions.map((key) => (
          <option key={key} value={key}>
            {WORDS[key]}
          </option>
        ))}
      </select>
    )
  return (
    <div className="flex flex-wrap gap-2">
      {questions.map((key) => (
        <Button
          key={key}
          look={place.ask === key ? 'main' : 'plain'}
          aria-pressed={place.ask === key}
          onClick={() => {
            ask(key)
          }}
        >
          {WORDS[key]}
        </Button>
      ))}
    </div>
  )
}
