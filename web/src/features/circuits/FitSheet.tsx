import { useQuery } from '@tanstack/react-query'
import { units } from '../../shared/api/units'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { useWrite } from '../../shared/writes/useWrite'
import { fitSheet, type SheetLine, type UnitCircuits } from '../../shared/api/circuits'

const UNSAID = { unitId: '', versionId: '' }

/** Put a sheet onto a unit; a newer version takes the place of the one before and keeps what is the unit's own. */
export function FitSheet({ sheets }: { sheets: SheetLine[] }) {
  const { data } = useQuery(units(false))
  const fit = useWrite<typeof UNSAID, UnitCircuits>({ name: 'fit-sheet', empty: UNSAID })
  const { unitId, versionId } = fit.value
  return (
    <form
      className="grid gap-3 pt-4 desk:grid-cols-[1fr_1fr_auto] desk:items-end"
      onSubmit={(event) => {
        event.preventDefault()
        const what = sheets.find((line) => line.version_id === versionId)?.title ?? 'a sheet'
        void fit.write(() => fitSheet(unitId, versionId, what))
      }}
    >
      <Field label="Fit the sheet">
        {(wiring) => (
          <select
            {...wiring}
            value={versionId}
            onChange={(event) => {
              fit.change({ unitId, versionId: event.target.value })
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
              fit.change({ unitId: event.target.value, versionId })
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
