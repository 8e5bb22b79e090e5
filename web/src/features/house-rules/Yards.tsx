import { useQuery } from '@tanstack/react-query'
import { yards } from '../../shared/api/yards'
import { Roster } from './Roster'
import { YardForm } from './YardForm'

/** The yards of the fleet, each with its clock. */
export function Yards() {
  const { data, error } = useQuery(yards())
  return (
    <Roster
      title="Yards"
      one="yard"
      rows={data?.yards}
      error={error}
      line={(yard) => (
        <>
          <span className="font-label text-lead font-bold">{yard.name}</span>
          <span className="block text-quiet">{yard.time_zone}</span>
        </>
      )}
      form={(yard, onDone) => <YardForm yard={yard} timeZones={data?.time_zones ?? []} onDone={onDone} />}
    />
  )
}
