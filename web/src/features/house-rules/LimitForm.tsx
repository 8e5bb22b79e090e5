import { useForm } from 'react-hook-form'
import { useRequestId } from '../../shared/drafts/useRequestId'
import { numberFrom } from '../../shared/quantities/numberFrom'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { showFieldErrors } from '../../shared/ui/fieldErrors'
import { useLimitAsShipped, useSetLimit, type Limit } from './api'

/** Judge by another figure than the shipped one; the reason stays beside it. */
export function LimitForm({ limit, onDone }: { limit: Limit; onDone: () => void }) {
  const form = useForm({ defaultValues: { value: String(limit.value), reason: limit.reason ?? '' } })
  const [requestId, renew] = useRequestId()
  const set = useSetLimit()
  const back = useLimitAsShipped()
  const { errors } = form.formState
  const submit = form.handleSubmit(({ value, reason }) => {
    set.mutate(
      { requestId, id: limit.id, value: numberFrom(value) as number, reason },
      {
        onSuccess: onDone,
        onError: (error) => {
          showFieldErrors(error, form.setError)
        },
        onSettled: renew,
      },
    )
  })
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
      {limit.shipped_value !== null && (
        <Button
          disabled={back.isPending}
          onClick={() => {
            back.mutate({ requestId, id: limit.id }, { onSuccess: onDone, onSettled: renew })
          }}
        >
          Back to {limit.shipped_value} {limit.unit}
        </Button>
      )}
    </form>
  )
}
