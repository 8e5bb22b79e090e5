import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { draft as draftQuery, type Draft, type DraftView } from '../../shared/api/drafts'
import { useMay } from '../../shared/session/session'
import { PageHead } from '../../shared/page/PageHead'
import { Shown } from '../../shared/page/Shown'
import { useTitle } from '../../shared/page/useTitle'
import { useWide } from '../../shared/ui/useWide'
import { DraftDrawing } from './DraftDrawing'
import { DraftWork } from './DraftWork'
import { Head } from './Head'
import { Publish } from './Publish'
import { Rows } from './Rows'
import { SuggestedContext, useSuggestions } from './suggested'

const FIRST: DraftView = { component_page: 0, wire_page: 0 }

/** Who may not write reads it as one reads a draft that has ended. */
const read = (draft: Draft, may: boolean): Draft => (may ? draft : { ...draft, ended: true })

/** A sheet while it is written: the table first, what is wrong in its place, the drawing beside it. */
export function EditorPage() {
  const { id = '' } = useParams()
  const [view, setView] = useState<DraftView>(FIRST)
  const asked = useQuery(draftQuery(id, view))
  const queries = useQueryClient()
  const wide = useWide()
  const may = useMay()('edit_circuits')
  useTitle(asked.data ? `${asked.data.head.title}, draft` : '')
  const suggested = useSuggestions(asked.data)
  // What is answered shows the first page; of a longer draft the page that is looked at is asked for anew.
  const onSaved = (reply: Draft) => {
    if (reply.pages.component.of === 1 && reply.pages.wire.of === 1) {
      queries.setQueryData(draftQuery(id, FIRST).queryKey, reply)
    }
  }
  return (
    <Shown asked={asked} what="the draft">
      {(draft) => (
        <div className="flex flex-col gap-4">
          <PageHead
            title={`${draft.head.title}, draft`}
            words={`${draft.head.sheet}, ${draft.head.system_volt} V${draft.base ? `, from version ${draft.base.n}` : ''}`}
          />
          {draft.ended && (
            <p role="status" className="border-l-4 border-watch pl-4">
              {draft.version_id ? (
                <>
                  Published: <Link to={`/circuits/${draft.version_id}`}>look at the version</Link>. Begin another draft
                  from there.
                </>
              ) : (
                'This draft was dropped.'
              )}
            </p>
          )}
          <div className="grid gap-8 desk:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
            <div className="flex min-w-0 flex-col gap-5">
              <Head key={draft.head_version} draft={read(draft, may)} onSaved={onSaved} />
              <SuggestedContext value={suggested}>
                <Rows kind="component" draft={read(draft, may)} {...{ view, onSaved }} onView={setView} />
                <Rows kind="wire" draft={read(draft, may)} {...{ view, onSaved }} onView={setView} />
              </SuggestedContext>
            </div>
            <div className="flex min-w-0 flex-col gap-5 desk:sticky desk:top-4 desk:self-start">
              <DraftWork {...{ draft, onSaved }} may={may && !draft.ended} />
              {!draft.ended && may && <Publish {...{ draft, view, onSaved }} onView={setView} />}
              {(wide || draft.rows.length > 0) && <DraftDrawing draft={draft} />}
            </div>
          </div>
        </div>
      )}
    </Shown>
  )
}
