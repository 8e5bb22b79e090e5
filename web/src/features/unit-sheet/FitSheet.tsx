import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { fitSheet, library, type UnitCircuits } from '../../shared/api/circuits'
import type { UnitSheet } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { useWrite } from '../../shared/writes/useWrite'

const UNSAID = { versionId: '' }

function Choice({ unit }: { unit: UnitSheet }) {
  const { data } = useQuery(library())
  const fit = useWrite<typeof UNSAID, UnitCircuits>({ name: `fit-sheet:${unit.id}`, empty: UNSAID })
  const { versionId } = fit.value
  return (
    <form
      className="grid gap-3 pt-2 desk:grid-cols-[1fr_auto] desk:items-end"
      onSubmit={(event) => {
        event.preventDefault()
        const what = data?.sheets.find((line) => line.version_id === versionId)?.title ?? 'a sheet'
        void fit.write(() => fitSheet(unit.id, versionId, what))
      }}
    >
      <Field label="Fit the sheet">
        {(wiring) => (
          <select
            {...wiring}
            value={versionId}
            onChange={(event) => {
              fit.change({ versionId: event.target.value })
            }}
          >
            <option value="">Choose a sheet</option>
            {data?.sheets.map((line) => (
              <option key={line.version_id} value={line.version_id}>
                {line.title}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Button type="submit" disabled={versionId === '' || fit.isPending}>
        Fit it
      </Button>
      <ErrorNote error={fit.error} />
    </form>
  )
}

/** Put a sheet onto this unit; a newer version takes the place of the one before and keeps what is the unit's own. */
export function FitSheet({ unit }: { unit: UnitSheet }) {
  const [open, setOpen] = useState(false)
  if (open) return <Choice unit={unit} />
  return (
    <Button
      look="quiet"
      onClick={() => {
        setOpen(true)
      }}
    >
      Fit another sheet
    </Button>
  )
}
