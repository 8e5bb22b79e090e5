import { useQuery } from '@tanstack/react-query'
import { people } from '../../shared/api/people'
import { PersonForm } from './PersonForm'
import { Roster } from './Roster'

/** Who signs in, and as what. */
export function People() {
  const { data, error } = useQuery(people())
  return (
    <Roster
      title="People"
      one="person"
      rows={data?.people}
      error={error}
      line={(person) => (
        <span className={person.blocked ? 'text-quiet' : ''}>
          <span className="font-label text-lead font-bold">{person.name}</span>, {person.role}
          {person.blocked && ', may not sign in'}
          <span className="block text-quiet">{person.email}</span>
        </span>
      )}
      form={(person, onDone) => <PersonForm person={person} onDone={onDone} />}
    />
  )
}
