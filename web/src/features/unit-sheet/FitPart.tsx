import { useState } from 'react'
import { fitPart, type Place, type UnitParts } from '../../shared/api/parts'
import { numberFrom } from '../../shared/quantities/numberFrom'
import { written } from '../../shared/quantities/written'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { useWrite } from '../../shared/writes/useWrite'
import { TextField } from '../../shared/ui/TextField'

const NEW = 'new'

/** Put a starter, an alternator or a relay into its place: one from the shelf, or a new one with what its plate says. */
export function FitPart({ data, place, onDone }: { data: UnitParts; place: Place; onDone: () => void }) {
  const [empty] = useState({ which: NEW, tag: '', rating: '', note: '' })
  const fit = useWrite<typeof empty, UnitParts>({
    name: `part:${data.unit.id}:${place.key}`,
    empty,
    onSaved: onDone,
    onWaiting: onDone,
  })
  const { value, change } = fit
  const spares = data.spares.filter((one) => one.kind === place.kind)
  const fields = fit.error?.fields ?? {}
  return (
    <form
      className="flex flex-col gap-5"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void fit.write((id) => {
          if (value.which !== NEW) return fitPart(data.unit, place, { asset_id: value.which })
          const rating = value.rating.trim() === '' ? null : (numberFrom(value.rating) as number)
          return fitPart(data.unit, place, { asset: { id, tag: value.tag, rating, note: value.note } })
        })
      }}
    >
      {spares.length > 0 && (
        <Field label="Which one" error={fields.asset_id?.[0]}>
          {(wiring) => (
            <select
              {...wiring}
              value={value.which}
              onChange={(event) => {
                change({ ...value, which: event.target.value })
              }}
            >
              <option value={NEW}>A new one</option>
              {spares.map((one) => (
                <option key={one.id} value={one.id}>
                  {one.tag}
                  {one.spoken && `, ${written(one.spoken)}`}
                </option>
              ))}
            </select>
          )}
        </Field>
      )}
      {value.which === NEW && (
        <>
          <TextField
            label="Tag"
            help="What you write on it so that it stays the same one"
            error={fields.tag?.[0] ?? fields.asset?.[0]}
            value={value.tag}
            onText={(text) => {
              change({ ...value, tag: text })
            }}
          />
          <TextField
            label={written(place.rating_label)}
            help="By its plate; empty if not readable"
            error={fields.rating?.[0]}
            inputMode="decimal"
            value={value.rating}
            onText={(text) => {
              change({ ...value, rating: text })
            }}
          />
          <TextField
            label="Note"
            help="Maker’s number, where it came from"
            error={fields.note?.[0]}
            value={value.note}
            onText={(text) => {
              change({ ...value, note: text })
            }}
          />
        </>
      )}
      {place.cautions.map((caution) => (
        <p key={caution} className="text-quiet">
          {caution}
        </p>
      ))}
      <ErrorNote error={fit.error} />
      <Button type="submit" look="main" disabled={fit.isPending}>
        Fit it
      </Button>
    </form>
  )
}
