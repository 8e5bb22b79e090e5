import { useQuery } from '@tanstack/react-query'
import { useController, useWatch, type UseFormReturn } from 'react-hook-form'
import { complaints } from '../../shared/api/units'
import { Combobox } from '../../shared/ui/Combobox'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { Waiting } from '../../shared/ui/Waiting'
import { named, type Intake } from './intake'

/** What of the unit's circuit does not work, in which state, and how it fails. */
export function SomethingElse({
  unitId,
  form,
  error,
}: {
  unitId: string
  form: UseFormReturn<Intake>
  error: { fields: Record<string, string[]> } | null
}) {
  const { data, error: unread } = useQuery(complaints(unitId, true))
  const { field: thing } = useController({ control: form.control, name: 'thing' })
  const [how, situation] = useWatch({ control: form.control, name: ['how', 'situation'] })
  const typed = thing.value
  if (unread) return <ErrorNote error={unread} />
  if (!data) return <Waiting what="what this unit has" />
  // When it should work, or, where it stays on, when it should be off.
  const states = (one: (typeof data.things)[number]) => (how === 'stays_on' ? one.off_in : one.situations)
  const things = data.things.filter((one) => states(one).length > 0)
  const chosen = things.find((one) => named(one) === typed || one.part === typed.trim())
  const known = chosen ? states(chosen) : []
  return (
    <>
      <Combobox
        label={how === 'stays_on' ? 'What stays on' : 'What does not work'}
        help={chosen ? undefined : 'Type a part of its name: pump, heater, relay'}
        error={error?.fields['symptom.part']?.[0]}
        choices={things.map((one) => ({ label: named(one) }))}
        text={typed}
        onText={thing.onChange}
      />
      {chosen && (
        <Field
          label={how === 'stays_on' ? 'When it should be off' : 'When it should'}
          error={error?.fields['symptom.situation']?.[0]}
        >
          {(wiring) => (
            <select
              {...wiring}
              value={known.some((one) => one.key === situation) ? situation : known[0]?.key}
              onChange={(event) => {
                form.setValue('situation', event.target.value, { shouldDirty: true })
              }}
            >
              {known.map((one) => (
                <option key={one.key} value={one.key}>
                  {one.label}
                </option>
              ))}
            </select>
          )}
        </Field>
      )}
    </>
  )
}
