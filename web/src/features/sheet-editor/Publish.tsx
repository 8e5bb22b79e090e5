import { useNavigate } from 'react-router'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { useWrite } from '../../shared/writes/useWrite'
import { dropDraft, publish, undoStep, type Draft, type DraftView } from '../../shared/api/drafts'
import { Changes } from '../../shared/drawing/Changes'

/** What the draft changes, and what becomes of it. */
export function Publish({
  draft,
  view,
  onView,
  onSaved,
}: {
  draft: Draft
  view: DraftView
  onView: (view: DraftView) => void
  onSaved: (draft: Draft) => void
}) {
  const navigate = useNavigate()
  const wrong = draft.wrong.length + draft.pages.wrong_rows
  const paged = view.only_wrong === 'yes' || draft.pages.component.of > 1 || draft.pages.wire.of > 1
  const busy = draft.work?.going_on === true
  const act = useWrite<object, Draft>({ name: `draft-act:${draft.id}`, empty: {}, onSaved })
  const publishing = useWrite<object, Draft>({
    name: `draft-publish:${draft.id}`,
    empty: {},
    onSaved: (reply) => {
      if (reply.version_id) void navigate(`/circuits/${reply.version_id}`)
    },
  })
  const newer = publishing.error?.theirs as { version_id: string; n: number } | undefined
  const unchanged = draft.changes?.length === 0
  return (
    <section aria-label="What it changes" className="flex flex-col gap-3">
      <h2 className="text-lead">
        {wrong > 0 ? `${wrong} ${wrong === 1 ? 'thing is' : 'things are'} wrong yet` : 'Nothing is wrong'}
        {draft.changes && <span className="font-medium text-quiet">, {draft.changes.length} changed</span>}
      </h2>
      {paged && (draft.pages.wrong_rows > 0 || view.only_wrong) && (
        <label className="flex min-h-12 items-center gap-3">
          <input
            type="checkbox"
            checked={view.only_wrong === 'yes'}
            onChange={(event) => {
              onView({ component_page: 0, wire_page: 0, ...(event.target.checked && { only_wrong: 'yes' }) })
            }}
          />
          Show only rows with which something is wrong
        </label>
      )}
      {draft.changes && <Changes changes={draft.changes} />}
      <div className="flex flex-wrap gap-3">
        <Button
          look="main"
          disabled={wrong > 0 || unchanged || busy || publishing.isPending}
          onClick={() => {
            void publishing.write(() => publish(draft.id, null))
          }}
        >
          {draft.base ? `Publish as version ${draft.base.n + 1} or later` : 'Publish'}
        </Button>
        <Button
          disabled={!draft.undoable || busy || act.isPending}
          onClick={() => {
            void act.write(() => undoStep(draft.id))
          }}
        >
          Undo
        </Button>
        <Button
          disabled={act.isPending}
          onClick={() => {
            void act.write(() => dropDraft(draft.id))
          }}
        >
          Drop this draft
        </Button>
      </div>
      <ErrorNote error={act.error} />
      <ErrorNote error={publishing.error}>
        {newer && (
          <Button
            onClick={() => {
              void publishing.write(() => publish(draft.id, newer.version_id))
            }}
          >
            Publish on top of version {newer.n}
          </Button>
        )}
      </ErrorNote>
    </section>
  )
}
