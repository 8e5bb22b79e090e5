import { useQuery } from '@tanstack/react-query'
import { useWatch, type UseFormRegister } from 'react-hook-form'
import { catalogue } from '../../shared/api/catalogue'
import type { UnitSheet } from '../../shared/api/types'
import { emptyLabel, labelled, LabelFields, type Label } from '../../shared/battery/LabelFields'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { Waiting } from '../../shared/ui/Waiting'
import { ThrowAway } from '../../shared/writes/ThrowAway'
import { useFormWrite } from '../../shared/writes/useFormWrite'
import { fitBattery } from '../../shared/api/units'
import { shelf as shelfQuery } from '../../shared/api/batteries'

const NEW = 'new'

const EMPTY = { which: NEW, ...emptyLabel }

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
  const { data: shelf } = useQuery(shelfQuery())
  const which = useWatch({ control: form.control, name: 'which' })
  const fields = fit.error?.fields ?? {}

  const submit = form.handleSubmit((values) =>
    fit.write((id) => {
      const { which: chosen, ...label } = values
      if (chosen !== NEW) return fitBattery(unit, { position, battery_id: chosen })
      return fitBattery(unit, { position, battery: labelled(id, label) })
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
                {battery.health_percent !== null && `, ${Math.round(battery.health_percent)} %`}
                {battery.wants_charge && ', charge it first'}
              </option>
            ))}
          </select>
        )}
      </Field>
      {which === NEW && (
        <>
          <LabelFields register={form.register as unknown as UseFormRegister<Label>} fields={fields} />
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
