import { useState } from 'react'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { useWrite } from '../../shared/writes/useWrite'
import { copyBlock, type Draft, type DraftRow, type DraftView } from '../../shared/api/drafts'
import { COLUMNS, GRID } from './columns'
import { Pager } from './Pager'
import { RowFields } from './RowFields'
import { TakeList } from './TakeList'
import { useFreshRow } from './useFreshRow'

const NONE: string[] = []

/** Components or wires of the sheet, and a line to go on at. */
export function Rows({
  draft,
  kind,
  view,
  onView,
  onSaved,
}: {
  draft: Draft
  kind: DraftRow['kind']
  view: DraftView
  onView: (view: DraftView) => void
  onSaved: (draft: Draft) => void
}) {
  const rows = draft.rows.filter((row) => row.kind === kind)
  const [fresh, another] = useFreshRow(draft, kind)
  const [chosen, setChosen] = useState(NONE)
  const copying = useWrite<object, Draft>({
    name: `copy-block:${draft.id}`,
    empty: {},
    onSaved: (reply) => {
      setChosen(NONE)
      onSaved(reply)
    },
  })
  const words = kind === 'wire' ? 'Wires' : 'Components'
  return (
    <section aria-label={words}>
      <div className="flex flex-wrap items-center justify-between gap-x-4">
        <h2 className="text-lead">{words}</h2>
        {kind === 'wire' && !draft.ended && <TakeList draft={draft} onSaved={onSaved} />}
        {chosen.length > 0 && (
          <Button
            onClick={() => {
              void copying.write(() => copyBlock(draft.id, chosen))
            }}
          >
            Copy {chosen.length} with the wires between them
          </Button>
        )}
      </div>
      <ErrorNote error={copying.error} />
      <Pager {...{ draft, kind, view, onView }} />
      <div role="row" aria-hidden className={`rule-below hidden gap-1 text-quiet desk:grid ${GRID[kind]}`}>
        {COLUMNS[kind].map(({ key, label }) => (
          <span key={key}>{label}</span>
        ))}
      </div>
      <ul aria-label={words}>
        {rows.map((row) => (
          <RowFields
            key={`${row.item_uuid} ${row.row_version}`}
            {...{ draft, row, onSaved }}
            chosen={chosen.includes(row.item_uuid)}
            onChoose={
              kind === 'component' && !draft.ended
                ? (on) => {
                    setChosen(on ? [...chosen, row.item_uuid] : chosen.filter((one) => one !== row.item_uuid))
                  }
                : null
            }
          />
        ))}
        {!draft.ended && fresh && (
          <RowFields
            key={fresh}
            draft={draft}
            row={{ item_uuid: fresh, kind, typed: {}, row_version: 0, wrong: [] }}
            chosen={false}
            onChoose={null}
            onSaved={(reply) => {
              another()
              onSaved(reply)
            }}
            onWaiting={another}
          />
        )}
      </ul>
      <Pager {...{ draft, kind, view, onView }} />
    </section>
  )
}
