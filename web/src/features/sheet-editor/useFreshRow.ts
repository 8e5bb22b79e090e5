import { useEffect } from 'react'
import { useDraft } from '../../shared/drafts/useDraft'
import type { Draft, DraftRow } from '../../shared/api/drafts'
import { thisTab } from '../../shared/unsent/store'

/**
 * The id of the row that is typed next in this tab: the same one over a reload, so that what is typed there is not lost, and another one as soon as the sheet
 * has it, whichever reply was lost. Empty for a moment at first.
 */
export function useFreshRow(draft: Draft, kind: DraftRow['kind']): [string, () => void] {
  const [kept, keep] = useDraft(`fresh-row:${draft.id}:${kind}:${thisTab()}`, { uuid: '' })
  const taken = draft.rows.some((row) => row.item_uuid === kept.uuid)
  useEffect(() => {
    if (kept.uuid === '' || taken) keep({ uuid: crypto.randomUUID() })
  }, [kept.uuid, taken, keep])
  return [
    taken ? '' : kept.uuid,
    () => {
      keep({ uuid: crypto.randomUUID() })
    },
  ]
}
