import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { engine as engineQuery, tellEngine, type Engine } from '../../shared/api/engines'
import { find } from '../../shared/api/find'
import type { Sum, Typed } from '../../shared/api/sums'
import { useMay } from '../../shared/session/session'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { TextField } from '../../shared/ui/TextField'
import { useWrite } from '../../shared/writes/useWrite'

const NOTHING = {}

function Keep({ unit, sum, typed }: { unit: Engine['unit']; sum: Sum; typed: Typed }) {
  const [kept, setKept] = useState(false)
  const done = () => {
    setKept(true)
  }
  const { write, error, isPending } = useWrite<object, Engine>({
    name: `kept-sum:${unit.id}:${sum.key}`,
    empty: NOTHING,
    onSaved: done,
    onWaiting: done,
  })
  if (kept)
    return (
      <p role="status">
        Kept on <Link to={`/units/${unit.id}/engine?at=sums`}>{unit.number}</Link>.
      </p>
    )
  return (
    <>
      <Button
        look="main"
        className="self-start"
        disabled={isPending}
        onClick={() => {
          void write((id) =>
            tellEngine(
              unit.id,
              id,
              { craft: 'sum', kind: 'kept', sum: sum.key, typed },
              `${unit.number}: ${sum.title}`,
            ),
          )
        }}
      >
        Use on {unit.number}
      </Button>
      <ErrorNote error={error} />
    </>
  )
}

/** Names the unit by its number; what else is called so is not meant. */
function Which({ onUnit }: { onUnit: (id: string) => void }) {
  const [number, setNumber] = useState('')
  const [missing, setMissing] = useState(false)
  const queries = useQueryClient()
  const look = async () => {
    const { found } = await queries.query(find(number.trim()))
    const unit = found.find((hit) => hit.kind === 'unit')
    if (unit) onUnit(unit.id)
    setMissing(!unit)
  }
  return (
    <form
      className="flex items-end gap-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void look()
      }}
    >
      <TextField
        label="Unit number"
        value={number}
        error={missing ? 'No unit is called that' : undefined}
        onText={setNumber}
      />
      <Button type="submit" disabled={number.trim() === ''}>
        Use on this unit
      </Button>
    </form>
  )
}

/** Keeps the sum with the figures that were typed on a unit: it stands with its engine from then on. */
export function UseOnUnit({ sum, typed }: { sum: Sum; typed: Typed }) {
  const may = useMay()('take_reading')
  const [params, setParams] = useSearchParams()
  const unitId = params.get('unit') ?? ''
  const { data } = useQuery({ ...engineQuery(unitId), enabled: unitId !== '' })
  if (!may) return null
  if (data && unitId !== '')
    return <Keep key={JSON.stringify([data.unit.id, sum.key, typed])} unit={data.unit} sum={sum} typed={typed} />
  return (
    <Which
      onUnit={(unit) => {
        setParams({ unit }, { replace: true })
      }}
    />
  )
}
