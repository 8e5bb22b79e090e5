import { emptyLabel, labelled, LabelFields, type Label } from '../../shared/battery/LabelFields'
import { enterBattery, type BatteryRecord } from '../../shared/api/batteries'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { ThrowAway } from '../../shared/writes/ThrowAway'
import { useFormWrite } from '../../shared/writes/useFormWrite'

/** A battery that comes in without a unit yet. */
export function NewSpare({ onDone }: { onDone: () => void }) {
  const entering = useFormWrite<Label, BatteryRecord>({
    name: 'battery:new',
    empty: emptyLabel,
    onSaved: onDone,
    onWaiting: onDone,
  })
  const { form } = entering
  const submit = form.handleSubmit((values) => entering.write((id) => enterBattery(labelled(id, values)), values))
  return (
    <form onSubmit={(event) => void submit(event)} className="flex flex-col gap-5" noValidate>
      <LabelFields register={form.register} fields={entering.error?.fields ?? {}} />
      <ErrorNote error={entering.error} />
      <Button type="submit" look="main" disabled={entering.isPending}>
        Put it on the shelf
      </Button>
      <ThrowAway
        isDrafted={entering.isDrafted}
        onThrowAway={() => {
          entering.clear()
          form.reset(emptyLabel)
        }}
      />
    </form>
  )
}
