import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { due, type DueKind } from '../../shared/api/due'
import { spokenDate } from '../../shared/quantities/when'
import { Button } from '../../shared/ui/Button'
import { Fold } from '../../shared/ui/Fold'
import { useWide } from '../../shared/ui/useWide'

/** One kind of work: the units that waited longest, all of them on a tap. */
function Kind({ kind }: { kind: DueKind }) {
  const [all, setAll] = useState(false)
  const full = useQuery({ ...due(kind.key), enabled: all })
  const units = full.data?.kinds[0]?.units ?? kind.units
  return (
    <li className="rule-below py-2">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <span className="font-label text-lead font-bold">{kind.label}</span>
        <span>{kind.count} due</span>
        <span className="text-quiet">
          every {kind.months} months
          {kind.salt_months !== kind.months && `, ${kind.salt_months} in salt or mud`}
          {kind.never > 0 && `, ${kind.never} never`}
        </span>
      </p>
      <ul className="flex flex-wrap gap-x-6">
        {units.map((unit) => (
          <li key={unit.unit_id}>
            <Link to={unit.path} className="inline-flex min-h-12 items-center gap-2 dense:min-h-9">
              <span className="font-bold">{unit.unit}</span>
              <span className="text-quiet">{spokenDate(unit.last_on)}</span>
            </Link>
          </li>
        ))}
        {kind.count > units.length && !all && (
          <li>
            <Button
              look="quiet"
              onClick={() => {
                setAll(true)
              }}
            >
              {kind.count - units.length} more
            </Button>
          </li>
        )}
      </ul>
    </li>
  )
}

/** What is due by kind of work: rounds and grounds whose interval has passed. */
export function DueWork() {
  const { data } = useQuery(due())
  const wide = useWide()
  const kinds = data?.kinds.filter((kind) => kind.count > 0) ?? []
  if (kinds.length === 0) return null
  const waiting = kinds.reduce((sum, kind) => sum + kind.count, 0)
  return (
    <Fold id="today-due" title="Due" note={`${waiting}, with the day each was read last`} open={wide}>
      <ul>
        {kinds.map((kind) => (
          <Kind key={kind.key} kind={kind} />
        ))}
      </ul>
    </Fold>
  )
}
