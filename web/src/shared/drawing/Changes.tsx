import type { SheetChange } from '../api/drafts'

/** What is otherwise, item by item, in words. */
export function Changes({ changes }: { changes: SheetChange[] }) {
  return (
    <ul>
      {changes.map((one) => (
        <li key={`${one.uuid ?? ''} ${one.what}`} className="rule-below py-1">
          <strong className="font-semibold">{one.item}</strong> {one.what}
          {one.words.length > 0 && <span className="text-quiet">: {one.words.join('; ')}</span>}
        </li>
      ))}
    </ul>
  )
}
