import { useState } from 'react'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { useWrite } from '../../shared/writes/useWrite'
import { letIn, type FleetPerson } from '../../shared/api/people'

const NOTHING = {}

/** For somebody whom wrong passwords, their own or a stranger's, keep out. */
export function LetIn({ person }: { person: FleetPerson }) {
  const [done, setDone] = useState(false)
  const letting = useWrite<object, unknown>({
    name: `let-in:${person.id}`,
    empty: NOTHING,
    secret: true,
    onSaved: () => {
      setDone(true)
    },
  })
  return (
    <div className="flex flex-col items-start gap-2">
      <ErrorNote error={letting.error} />
      {done ? (
        <p role="status">{person.name} can try again now, for a quarter of an hour from anywhere.</p>
      ) : (
        <Button look="quiet" disabled={letting.isPending} onClick={() => void letting.write(() => letIn(person))}>
          Too many wrong passwords: let them try again
        </Button>
      )}
    </div>
  )
}
