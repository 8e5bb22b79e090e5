import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { useWrite } from '../../shared/writes/useWrite'
import { cancelWork, type Draft } from '../../shared/api/drafts'

const NOTHING = {}

function words({ kind, done, total, left, going_on: goesOn, cancelled }: NonNullable<Draft['work']>) {
  if (goesOn && cancelled) return 'It ends after the rows that are being written.'
  if (goesOn) return `${kind === 'list' ? 'Taking the list' : 'Undoing it'}: ${done} of ${total} rows.`
  if (cancelled) return `Cancelled after ${done} of ${total} rows. What was done stands; Undo takes it back.`
  if (left > 0)
    return `${left} ${left === 1 ? 'row stays' : 'rows stay'} as somebody else typed ${left === 1 ? 'it' : 'them'} meanwhile.`
  return null
}

/** A long list that is taken, or a large step that is undone, behind the scenes: how far it is, and the way to stop it. */
export function DraftWork({ draft, may, onSaved }: { draft: Draft; may: boolean; onSaved: (draft: Draft) => void }) {
  const cancelling = useWrite<object, Draft>({ name: `cancel-work:${draft.id}`, empty: NOTHING, onSaved })
  const { work } = draft
  const said = work && words(work)
  if (!work || said === null) return null
  return (
    <section aria-label="Work on the draft" className="flex flex-col items-start gap-2 border-l-4 border-watch pl-4">
      <p role="status">{said}</p>
      {work.going_on && (
        <progress className="h-3 w-full accent-copper" max={work.total} value={work.done} aria-label="Rows done" />
      )}
      <ErrorNote error={cancelling.error} />
      {work.going_on && !work.cancelled && may && (
        <Button disabled={cancelling.isPending} onClick={() => void cancelling.write(() => cancelWork(draft.id))}>
          Cancel
        </Button>
      )}
    </section>
  )
}
