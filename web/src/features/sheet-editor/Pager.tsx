import { Button } from '../../shared/ui/Button'
import type { Draft, DraftRow, DraftView } from '../../shared/api/drafts'

/** Which rows of a long draft are shown, and the ones before and after them. Nothing where all of them are. */
export function Pager({
  draft,
  kind,
  view,
  onView,
}: {
  draft: Draft
  kind: DraftRow['kind']
  view: DraftView
  onView: (view: DraftView) => void
}) {
  const { page, of, rows } = draft.pages[kind]
  if (of === 1) return null
  const { size } = draft.pages
  const words = kind === 'wire' ? 'wires' : 'components'
  const turn = (to: number) => {
    onView({ ...view, [`${kind}_page`]: to })
  }
  return (
    <nav aria-label={`Pages of ${words}`} className="flex flex-wrap items-center gap-x-4">
      <Button
        look="quiet"
        disabled={page === 0}
        onClick={() => {
          turn(page - 1)
        }}
      >
        Before
      </Button>
      <span>
        {page * size + 1} to {Math.min((page + 1) * size, rows)} of {rows}
      </span>
      <Button
        look="quiet"
        disabled={page + 1 === of}
        onClick={() => {
          turn(page + 1)
        }}
      >
        After
      </Button>
    </nav>
  )
}
