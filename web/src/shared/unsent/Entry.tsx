import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { refresh } from '../api/refresh'
import { HERE, spokenTime } from '../quantities/when'
import { Button } from '../ui/Button'
import { flush, setOut, throwAway, tryAgain, type Queued } from './queue'

const NEWER = 'Something newer is typed there. Save it or throw it away first: this stays here meanwhile.'
const UNKNOWN = 'Whether the server has it cannot be told without network. It stays in the line.'

const STATE = { refused: 'refused, typed', read: 'read, not yet sent', typed: 'not yet sent' }

/** One write that waits or was refused: what it is, since when, why, and what can be done about it. */
export function Entry({ entry }: { entry: Queued }) {
  const queries = useQueryClient()
  const [said, setSaid] = useState<string | null>(null)
  const { wish, at, refusal, person, page } = entry
  const mend = async () => {
    if (await setOut(entry)) window.location.assign(page)
    else setSaid(NEWER)
  }
  const away = async () => {
    const gone = await throwAway(entry)
    if (gone === 'not known') setSaid(UNKNOWN)
    if (gone === 'was saved') await refresh(queries, wish.path)
  }
  const again = () => tryAgain(entry).then(() => flush(person, (sent) => refresh(queries, sent.path)))
  return (
    <li className="rule-below flex flex-col gap-1 py-3">
      <span className="font-label font-bold">{wish.words}</span>
      <span className="text-quiet">
        {STATE[entry.state === 'refused' ? 'refused' : wish.path.endsWith('/readings') ? 'read' : 'typed']},{' '}
        {spokenTime(at, HERE)}
      </span>
      {refusal && (
        <span className="font-semibold text-act">
          {[refusal.message, ...Object.values(refusal.fields).flat()].filter(Boolean).join('. ')}
        </span>
      )}
      {said && <span role="alert">{said}</span>}
      <span className="flex flex-wrap gap-x-4 gap-y-2">
        {entry.state === 'refused' && (
          <>
            <Button onClick={() => void mend()}>Mend it where it was typed</Button>
            <Button onClick={() => void again()}>Send it again</Button>
          </>
        )}
        <Button look="quiet" aria-label={`Throw away: ${wish.words}`} onClick={() => void away()}>
          Throw away
        </Button>
      </span>
    </li>
  )
}
