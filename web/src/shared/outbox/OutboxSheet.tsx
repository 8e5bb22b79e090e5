import { useQueryClient } from '@tanstack/react-query'
import { refresh } from '../api/refresh'
import { HERE, spokenTime } from '../quantities/when'
import { freshDraft, keepDraft } from '../writes/drafts'
import { Button } from '../ui/Button'
import { Sheet } from '../ui/Sheet'
import { flush, throwAway, tryAgain, type Entry } from './outbox'
import { useOutbox } from './useOutbox'

/** Back where it was typed, as it was typed. */
async function mend({ person, order, draft, page }: Entry) {
  keepDraft(person, draft.name, { ...freshDraft(draft.value, undefined), base: draft.base })
  await throwAway(order)
  window.location.assign(page)
}

function Line({ entry, onAgain }: { entry: Entry; onAgain: (() => void) | undefined }) {
  return (
    <li className="rule-below flex flex-col gap-1 py-3">
      <span className="font-label font-bold">{entry.wish.words}</span>
      <span className="text-quiet">typed {spokenTime(entry.at, HERE)}</span>
      {entry.refusal && <span className="font-semibold text-act">{entry.refusal}</span>}
      <span className="flex flex-wrap gap-x-4 gap-y-2">
        {onAgain && (
          <>
            <Button onClick={() => void mend(entry)}>Mend it where it was typed</Button>
            <Button onClick={onAgain}>Send it again</Button>
          </>
        )}
        <Button look="quiet" aria-label={`Throw away: ${entry.wish.words}`} onClick={() => void throwAway(entry.order)}>
          Throw away
        </Button>
      </span>
    </li>
  )
}

/** What waits on this device and what was refused, each with its reason, to be sent again or thrown away. */
export function OutboxSheet({ person, open, onClose }: { person: number; open: boolean; onClose: () => void }) {
  const { waiting, refused } = useOutbox(person)
  const queries = useQueryClient()
  const go = () => void flush(person, (wish) => refresh(queries, wish.path))
  return (
    <Sheet title="Waiting on this device" open={open} onClose={onClose}>
      <div className="flex flex-col gap-5">
        {refused.length > 0 && (
          <section aria-label="Refused">
            <h3 className="font-label font-bold">Refused</h3>
            <ul>
              {refused.map((entry) => (
                <Line
                  key={entry.order}
                  entry={entry}
                  onAgain={() => {
                    void tryAgain(entry).then(go)
                  }}
                />
              ))}
            </ul>
          </section>
        )}
        {waiting.length > 0 && (
          <section aria-label="Waiting">
            <h3 className="font-label font-bold">Sent in this order when the network is back</h3>
            <ul>
              {waiting.map((entry) => (
                <Line key={entry.order} entry={entry} onAgain={undefined} />
              ))}
            </ul>
            <Button className="mt-3" onClick={go}>
              Try now
            </Button>
          </section>
        )}
        {waiting.length + refused.length === 0 && <p>Nothing waits: all of it is saved.</p>}
      </div>
    </Sheet>
  )
}
