import { useEffect } from 'react'
import { useForm } from 'react-hook-form'
import type { Person } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { useSignIn } from './useSignIn'

/** E-mail and password; used as a page, and over a page when the session ran out in the middle of work. */
export function SignIn({ onDone }: { onDone: (person: Person) => void }) {
  const form = useForm({ defaultValues: { login: '', password: '' } })
  const attempt = useSignIn(onDone)
  const { setFocus } = form
  // Over a page it comes after the sheet that holds it.
  useEffect(() => {
    setFocus('login')
  }, [setFocus])
  const inLine = attempt.isPending && attempt.failureReason
  return (
    <form
      className="flex flex-col gap-5"
      onSubmit={(event) => {
        void form.handleSubmit((input) => {
          attempt.mutate(input)
        })(event)
      }}
    >
      <Field label="E-mail">
        {(wiring) => <input {...wiring} {...form.register('login')} type="email" autoComplete="username" required />}
      </Field>
      <Field label="Password">
        {(wiring) => (
          <input {...wiring} {...form.register('password')} type="password" autoComplete="current-password" required />
        )}
      </Field>
      {inLine && <p role="status">{inLine.message}</p>}
      <ErrorNote error={attempt.error} />
      <Button type="submit" look="main" disabled={attempt.isPending}>
        Sign in
      </Button>
    </form>
  )
}
