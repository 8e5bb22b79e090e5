import { useForm } from 'react-hook-form'
import { useRequestId } from '../../shared/drafts/useRequestId'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { showFieldErrors } from '../../shared/ui/fieldErrors'
import { useChangePassword } from './api'

/** A new password in place of the one somebody else typed. */
export function PasswordForm() {
  const form = useForm({ defaultValues: { current: '', fresh: '' } })
  const [requestId, renew] = useRequestId()
  const change = useChangePassword()
  const { errors } = form.formState
  const submit = form.handleSubmit((fields) => {
    change.mutate(
      { requestId, ...fields },
      {
        onSuccess: () => {
          form.reset()
        },
        onError: (error) => {
          showFieldErrors(error, form.setError)
        },
        onSettled: renew,
      },
    )
  })
  return (
    <form
      onSubmit={(event) => void submit(event)}
      aria-label="Your password"
      className="flex flex-col gap-4 border-l-4 border-hair py-2 pl-4"
      noValidate
    >
      <Field label="The one you have" error={errors.current?.message}>
        {(wiring) => (
          <input {...wiring} {...form.register('current')} type="password" autoComplete="current-password" />
        )}
      </Field>
      <Field label="The new one" help="Ten letters or more" error={errors.fresh?.message}>
        {(wiring) => <input {...wiring} {...form.register('fresh')} type="password" autoComplete="new-password" />}
      </Field>
      <ErrorNote error={change.error} />
      {change.isSuccess && (
        <p role="status" className="font-semibold text-sound">
          Changed. Anywhere else you are signed out.
        </p>
      )}
      <Button type="submit" disabled={change.isPending}>
        Change it
      </Button>
    </form>
  )
}
