import { useQuery } from '@tanstack/react-query'
import type { OpenSessions as Open } from '../../shared/api/types'
import { HERE, spokenTime } from '../../shared/quantities/when'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Waiting } from '../../shared/ui/Waiting'
import { useWrite } from '../../shared/writes/useWrite'
import { endSession, openSessions } from '../../shared/api/sessions'

const NOTHING = {}

function Line({ one }: { one: Open['sessions'][number] }) {
  const end = useWrite<object, Open>({ name: `end-session:${one.id}`, empty: NOTHING })
  return (
    <li className="rule-below grid grid-cols-[1fr_auto] items-center gap-x-4 py-2">
      <span>
        <span className="font-label font-bold">{one.device}</span>
        {one.this && ', this one'}
        <span className="block text-quiet">
          {one.client_address}, since {spokenTime(one.begun_at, HERE)}, last used {spokenTime(one.seen_at, HERE)}
        </span>
      </span>
      {!one.this && (
        <Button
          look="quiet"
          aria-label={`End the session on ${one.device}`}
          disabled={end.isPending}
          onClick={() => {
            void end.write(() => endSession(one.id, one.device))
          }}
        >
          End
        </Button>
      )}
      <ErrorNote error={end.error} />
    </li>
  )
}

/** Where one is signed in; a phone left in a cab is signed out from here. */
export function OpenSessions() {
  const { data, error } = useQuery(openSessions())
  if (error) return <ErrorNote error={error} />
  if (!data) return <Waiting what="where you are signed in" />
  return (
    <section aria-labelledby="open-sessions">
      <h3 id="open-sessions" className="rule-below pb-1 font-label font-bold">
        Signed in at
      </h3>
      <ul>
        {data.sessions.map((one) => (
          <Line key={one.id} one={one} />
        ))}
      </ul>
    </section>
  )
}
