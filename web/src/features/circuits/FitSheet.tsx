import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { units } from '../../shared/api/units'
import { useRequestId } from '../../shared/drafts/useRequestId'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { useFitSheet, type SheetLine } from './api'

/** Put a sheet onto a unit; a newer version takes the place of the one before and keeps what is the unit's own. */
export function FitSheet({ sheets }: { sheets: SheetLine[] }) {
  const [unitId, setUnitId] = useState('')
  const [versionId, setVersionId] = useState('')
  const [requestId, renew] = useRequestId()
  const { data } = useQuery(units(false))
  const fit = useFitSheet()
  return (
    <form
      className="grid gap-3 pt-4 desk:grid-cols-[1fr_1fr_auto] desk:items-end"
      onSubmit={(event) => {
        event.preventDefault()
        fit.mutate({ requestId, unitId, versionId }, { onSettled: renew })
      }}
    >
      <Field label="Fit the sheet">
        {(wiring) => (
          <select
            {...wiring}
            value={versionId}
            onChange={(event) => {
              setVersionId(event.target.value)
            }}
          >
            <option value="">Choose a sheet</option>
            {sheets.map((line) => (
              <option key={line.version_id} value={line.version_id}>
                {line.title}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field label="to the unit">
        {(wiring) => (
          <select
            {...wiring}
            value={unitId}
            onChange={(event) => {
              setUnitId(event.target.value)
            }}
          >
            <option value="">Choose a unit</option>
            {data?.units.map((unit) => (
              <option key={unit.id} value={unit.id}>
                {unit.number} {unit.name}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Button type="submit" disabled={unitId === '' || versionId === '' || fit.isPending}>
        Fit it
      </Button>
      <ErrorNote error={fit.error} />
    </form>
  )
}
