import { HERE, spokenDay } from '../../../shared/quantities/when'
import type { ItemFact } from '../../../shared/api/ownFacts'
import { saidOf } from './facts'

/** What the sheet says in its place, and who said so and why. */
export function OwnWords({ fact }: { fact: ItemFact }) {
  if (!fact.own) return null
  const { why, person, at } = fact.own
  return (
    <p className="text-quiet">
      Sheet: {saidOf(fact, fact.sheet_says)}
      {why && `. ${why}`}
      {person && at && `. ${person}, ${spokenDay(at, HERE)}`}
    </p>
  )
}
