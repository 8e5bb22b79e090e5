import { useState } from 'react'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { useFormWrite } from '../../shared/writes/useFormWrite'
import { addPerson, changePerson, type FleetPerson, type Role } from '../../shared/api/people'
import { LetIn } from './LetIn'

const ROLES: { key: Role; words: string }[] = [
  { key: 'electrician', words: 'electrician: measures, mends, closes' },
  { key: 'lead', words: 'lead: all that, and the house rules' },
  { key: 'driver', words: 'driver: reports what fails' },
  { key: 'reader', words: 'reader: looks on' },
]

/** Add a person or change one. A password is typed here once and told to them; they change it themselves. */
export function PersonForm({ person, onDone }: { person: FleetPerson | undefined; onDone: () => void }) {
  const [empty] = useState({
    name: person?.name ?? '',
    email: person?.email ?? '',
    role: person?.role ?? 'electrician',
    password: '',
    allowed: !(person?.blocked ?? false),
  })
  const save = useFormWrite<typeof empty, unknown>({
    name: `person:${person?.id ?? 'new'}`,
    empty,
    secret: true,
    onSaved: onDone,
  })
  const { form, errors } = save
  const submit = form.handleSubmit((typed) =>
    save.write(() => {
      const { allowed, password, ...rest } = typed
      if (!person) return addPerson({ ...rest, password })
      return changePerson(person.id, { ...rest, ...(password && { password }), blocked: !allowed })
    }, typed),
  )
  return (
    <form onSubmit={(event) => void submit(event)} className="flex flex-col gap-5" noValidate>
      <Field label="Name" error={errors.name?.message}>
        {(wiring) => <input {...wiring} {...form.register('name')} autoComplete="off" />}
      </Field>
      <Field label="E-mail" help="They sign in with it" error={errors.email?.message}>
        {(wiring) => <input {...wiring} {...form.register('email')} type="email" autoComplete="off" />}
      </Field>
      <Field label="Role" error={errors.role?.message}>
        {(wiring) => (
          <select {...wiring} {...form.register('role')}>
            {ROLES.map((role) => (
              <option key={role.key} value={role.key}>
                {role.words}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field
        label={person ? 'New password' : 'First password'}
        help={
          person
            ? 'Empty: it stays. A new one signs them out everywhere'
            : 'Three or four words that have nothing to do with each other; they change it'
        }
        error={errors.password?.message}
      >
        {(wiring) => <input {...wiring} {...form.register('password')} type="password" autoComplete="new-password" />}
      </Field>
      {person && (
        <label className="flex min-h-12 items-center gap-3 font-bold">
          <input type="checkbox" {...form.register('allowed')} /> May sign in
        </label>
      )}
      {person && !person.blocked && <LetIn person={person} />}
      <ErrorNote error={save.error} />
      <Button type="submit" look="main" disabled={save.isPending}>
        {person ? 'Save the person' : 'Add the person'}
      </Button>
    </form>
  )
}
