import { useState } from 'react'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { useFormWrite } from '../../shared/writes/useFormWrite'
import { changePassword } from '../../shared/api/sessions'

const EMPTY = { current: '', fresh: '' }

/** A new password in place of the one somebody else typed. */
export function PasswordForm() {
  const [isChanged, setChanged] = useState(false)
  const change = useFormWrite<typeof EMPTY, unknown>({
    name: 'password',
    empty: EMPTY,
    secret: true,
    onSaved: () => {
      setChanged(true)
      form.reset(EMPTY)
    },
  })
  const { form, errors } = change
  const submit = form.handleSubmit((typed) => change.write(() => changePassword(typed.current, typed.fresh), typed))
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
      <Field
        label="The new one"
        help="Three or four words that have nothing to do with each other"
        error={errors.fresh?.message}
      >
        {(wiring) => <input {...wiring} {...form.register('fresh')} type="password" autoComplete="new-password" />}
      </Field>
      <ErrorNote error={change.error} />
      {isChanged && (
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
