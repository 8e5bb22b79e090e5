import { parkUnit, type UnitStart } from '../../shared/api/tonight'
import type { UnitSheet } from '../../shared/api/types'
import { spokenDate } from '../../shared/quantities/when'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { useWrite } from '../../shared/writes/useWrite'
import { TextField } from '../../shared/ui/TextField'

const UNSAID = { since: '' }

/** Since when it stands: each night costs charge, and charge costs degrees. */
export function Parked({ sheet, start }: { sheet: UnitSheet; start: UnitStart }) {
  const parking = useWrite<typeof UNSAID, UnitStart>({ name: `parked:${sheet.id}`, empty: UNSAID })
  const { parked_since: since, nights_parked: nights } = start
  if (since) {
    return (
      <div className="flex flex-wrap items-center gap-x-4">
        <p>
          Ran last {spokenDate(since)}: {nights} {nights === 1 ? 'night' : 'nights'} are counted for.
        </p>
        <Button
          look="quiet"
          disabled={parking.isPending}
          onClick={() => void parking.write(() => parkUnit(sheet, null))}
        >
          It runs again
        </Button>
        <ErrorNote error={parking.error} />
      </div>
    )
  }
  return (
    <details>
      <summary className="min-h-12 py-3 font-label font-bold dense:min-h-9 dense:py-2">It stands unused</summary>
      <form
        className="flex flex-wrap items-end gap-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          void parking.write(() => parkUnit(sheet, parking.value.since || null))
        }}
      >
        <TextField
          label="Ran last on"
          error={parking.error?.fields.since?.[0]}
          type="date"
          value={parking.value.since}
          onText={(text) => {
            parking.change({ since: text })
          }}
        />
        <Button type="submit" disabled={parking.isPending || parking.value.since === ''}>
          Count its nights
        </Button>
      </form>
    </details>
  )
}
