import { useQuery } from '@tanstack/react-query'
import { useId, useRef } from 'react'
import { Waiting } from '../../shared/ui/Waiting'
import { draftDrawing, type Picture } from '../../shared/api/drawing'
import { beginning } from '../../shared/drawing/beginning'
import type { Looks } from '../../shared/drawing/looks'
import { Sheet } from '../../shared/drawing/Sheet'
import { Viewport, type View } from '../../shared/drawing/Viewport'
import type { Draft, SheetChange } from '../../shared/api/drafts'

const nothing = () => undefined

/** What the draft changes stands out on its drawing. */
function looksOf(changes: SheetChange[], picture: Picture): Looks {
  const changed = new Map(changes.map((one) => [one.uuid, one.what]))
  const uuids = new Map(picture.parts.map((part) => [part.part, part.uuid]))
  return {
    wire: (uuid) => ({ shade: uuid !== null && changed.has(uuid) ? 'lit' : 'plain', stands: null, words: null }),
    part: (id) => {
      const what = changed.get(uuids.get(id) ?? '')
      return { shade: 'plain', mark: what ? 'marked' : null, notes: what ? [what] : [] }
    },
  }
}

/** What is sound already, drawn again after every row; what is wrong is missing from it, and said in its row. */
export function DraftDrawing({ draft }: { draft: Draft }) {
  const { data, isPlaceholderData } = useQuery(draftDrawing(draft.id))
  const view = useRef<View>(null)
  const help = useId()
  if (!data || 'before' in data) return <Waiting what="the drawing" />
  const picture = data.pictures[0]
  if (!picture)
    return <p className="text-quiet">{data.problem ? `No drawing yet: ${data.problem}.` : 'Nothing to draw yet.'}</p>
  return (
    <div className="flex flex-col gap-1">
      <Viewport
        width={picture.width}
        height={picture.height}
        begin={beginning(picture)}
        label={`Drawing of ${draft.head.title}`}
        describedBy={help}
        view={view}
        onKeyDown={nothing}
        tools={null}
      >
        <Sheet
          picture={picture}
          looks={looksOf(draft.changes ?? [], picture)}
          pin={null}
          onWire={nothing}
          onPin={nothing}
          onPart={nothing}
        />
      </Viewport>
      <p id={help} className="text-quiet">
        {isPlaceholderData ? 'It is being drawn anew.' : 'What is wrong is left out of the drawing until it is mended.'}
      </p>
    </div>
  )
}
