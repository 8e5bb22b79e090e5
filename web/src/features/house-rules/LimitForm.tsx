import { useState } from 'react'
import { numberFrom } from '../../shared/quantities/numberFrom'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { ThrowAway } from '../../shared/writes/ThrowAway'
import { useFormWrite } from '../../shared/writes/useFormWrite'
import { useWrite } from '../../shared/writes/useWrite'
import { limitAsShipped, setLimit, type Limit, type Rules } from '../../shared/api/houseRules'

const NOTHING = {}

/** Judge by another figure than the shipped one; the reason stays beside it. */
export function LimitForm({ limit, onDone }: { limit: Limit; onDone: () => void }) {
  const [empty] = useState({ value: String(limit.value), reason: limit.reason ?? '' })
  const set = useFormWrite<typeof empty, Rules>({
    name: `limit:${limit.id}`,
    empty,
    onSaved: onDone,
    onWaiting: onDone,
  })
  const back = useWrite<object, Rules>({
    name: `as-shipped:${limit.id}`,
    empty: NOTHING,
    onSaved: onDone,
    onWaiting: onDone,
  })
  const { form, errors } = set
  const submit = form.handleSubmit((typed) =>
    set.write(() => setLimit(limit.id, numberFrom(typed.value) as number, typed.reason), typed),
  )
  return (
    <form onSubmit={(event) => void submit(event)} className="flex flex-col gap-5" noValidate>
      <p className="text-quiet">
        {limit.source}. Shipped: {limit.shipped_value ?? limit.value} {limit.unit}.
      </p>
      <Field
        label={`This fleet's figure, ${limit.unit}`}
        help="Every verdict is worked out anew with it; what was said at the time stays readable"
        error={errors.value?.message}
      >
        {(wiring) => <input {...wiring} {...form.register('value')} inputMode="decimal" />}
      </Field>
      <Field label="Why" error={errors.reason?.message}>
        {(wiring) => <textarea rows={3} {...wiring} {...form.register('reason')} />}
      </Field>
      <ErrorNote error={set.error ?? back.error} />
      <Button type="submit" look="main" disabled={set.isPending}>
        Judge by this
      </Button>
      <ThrowAway
        isDrafted={set.isDrafted}
        onThrowAway={() => {
          set.clear()
          form.reset(empty)
        }}
      />
      {limit.shipped_value !== null && (
        <Button
          disabled={back.isPending}
          onClick={() => {
            void back.write(() => limitAsShipped(limit.id))
          }}
        >
          Back to {limit.shipped_value} {limit.unit}
        </Button>
      )}
    </form>
  )
}
