import { useQuery } from '@tanstack/react-query'
import { useWatch } from 'react-hook-form'
import { catalogue } from '../../shared/api/catalogue'
import type { UnitSheet } from '../../shared/api/types'
import { numberFrom } from '../../shared/quantities/numberFrom'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { Waiting } from '../../shared/ui/Waiting'
import { ThrowAway } from '../../shared/writes/ThrowAway'
import { useFormWrite } from '../../shared/writes/useFormWrite'
import { fitBattery } from '../../shared/api/units'
import { looseBatteries } from '../../shared/api/batteries'

const NEW = 'new'

const EMPTY = { which: NEW, tag: '', type: 'flooded', rating_ampere: '', rating_standard: 'SAE', date_code: '' }

/** Put a battery into a position: one from the shelf, or a new one with what its label says. */
export function FitBattery({ unit, position, onDone }: { unit: UnitSheet; position: string; onDone: () => void }) {
  const fit = useFormWrite<typeof EMPTY, UnitSheet>({
    name: `fitting:${unit.id}:${position}`,
    empty: EMPTY,
    onSaved: onDone,
    onWaiting: onDone,
  })
  const { form } = fit
  const { data: lists } = useQuery(catalogue())
  const { data: shelf } = useQuery(looseBatteries())
  const which = useWatch({ control: form.control, name: 'which' })
  const fields = fit.error?.fields ?? {}

  const submit = form.handleSubmit((values) =>
    fit.write((id) => {
      const { which: chosen, rating_ampere, date_code, ...rest } = values
      if (chosen !== NEW) return fitBattery(unit, { position, battery_id: chosen })
      const rated = { ...rest, id, rating_ampere: numberFrom(rating_ampere) as number, date_code: date_code || null }
      return fitBattery(unit, { position, battery: rated })
    }, values),
  )
  // A list that comes after its choice would show another one than it sends.
  if (!lists || !shelf) return <Waiting what="the shelf" />

  return (
    <form onSubmit={(event) => void submit(event)} className="flex flex-col gap-5" noValidate>
      <Field label="Which battery">
        {(wiring) => (
          <select {...wiring} {...form.register('which')}>
            <option value={NEW}>A new one</option>
            {shelf.batteries.map((battery) => (
              <option key={battery.id} value={battery.id}>
                {battery.tag}, {battery.rating_ampere} A {battery.rating_standard}, {battery.type_label}
              </option>
            ))}
          </select>
        )}
      </Field>
      {which === NEW && (
        <>
          <Field label="Tag" help="What you write on it so that it stays the same battery" error={fields.tag?.[0]}>
            {(wiring) => <input {...wiring} {...form.register('tag')} />}
          </Field>
          <Field label="Type">
            {(wiring) => (
              <select {...wiring} {...form.register('type')}>
                {lists.battery_types.map((type) => (
                  <option key={type.key} value={type.key}>
                    {type.label}
                  </option>
                ))}
              </select>
            )}
          </Field>
          <div className="grid grid-cols-2 gap-4">
            <Field label="Cold cranking rating, A" error={fields.rating_ampere?.[0]}>
              {(wiring) => <input {...wiring} {...form.register('rating_ampere')} inputMode="decimal" />}
            </Field>
            <Field label="By which standard">
              {(wiring) => (
                <select {...wiring} {...form.register('rating_standard')}>
                  {lists.rating_standards.map((standard) => (
                    <option key={standard}>{standard}</option>
                  ))}
                </select>
              )}
            </Field>
          </div>
          <Field label="Date code" help="K24 or 10/24; empty if not readable" error={fields.date_code?.[0]}>
            {(wiring) => <input {...wiring} {...form.register('date_code')} />}
          </Field>
        </>
      )}
      <p className="text-quiet">Hydrogen: no sparks. Grounded post off first and on last. No metal across the posts.</p>
      <ErrorNote error={fit.error} />
      <Button type="submit" look="main" disabled={fit.isPending}>
        Fit at {position}
      </Button>
      <ThrowAway
        isDrafted={fit.isDrafted}
        onThrowAway={() => {
          fit.clear()
          form.reset(EMPTY)
        }}
      />
    </form>
  )
}
