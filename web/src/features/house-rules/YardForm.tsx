import { useState } from 'react'
import { useController } from 'react-hook-form'
import { Button } from '../../shared/ui/Button'
import { Combobox } from '../../shared/ui/Combobox'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { useFormWrite } from '../../shared/writes/useFormWrite'
import { addYard, changeYard, type Yard } from '../../shared/api/yards'

/** Add a yard or change one; its clock tells when things happened there. */
export function YardForm({
  yard,
  timeZones,
  onDone,
}: {
  yard: Yard | undefined
  timeZones: string[]
  onDone: () => void
}) {
  const [empty] = useState({
    name: yard?.name ?? '',
    time_zone: yard?.time_zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone,
  })
  const save = useFormWrite<typeof empty, unknown>({
    name: `yard:${yard?.id ?? 'new'}`,
    empty,
    onSaved: onDone,
    onWaiting: onDone,
  })
  const { form, errors } = save
  const { field: zone } = useController({ control: form.control, name: 'time_zone' })
  const submit = form.handleSubmit((fields) =>
    save.write(() => (yard ? changeYard(yard.id, fields) : addYard(fields)), fields),
  )
  return (
    <form onSubmit={(event) => void submit(event)} className="flex flex-col gap-5" noValidate>
      <Field label="Name" error={errors.name?.message}>
        {(wiring) => <input {...wiring} {...form.register('name')} />}
      </Field>
      <Combobox
        label="Time zone"
        help="Type a town: London"
        error={errors.time_zone?.message}
        choices={timeZones.map((one) => ({ label: one }))}
        text={zone.value}
        onText={zone.onChange}
      />
      <ErrorNote error={save.error} />
      <Button type="submit" look="main" disabled={save.isPending}>
        {yard ? 'Save the yard' : 'Add the yard'}
      </Button>
    </form>
  )
}
