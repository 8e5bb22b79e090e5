import type { UseFormRegister } from 'react-hook-form'
import { useQuery } from '@tanstack/react-query'
import { catalogue } from '../api/catalogue'
import { numberFrom } from '../quantities/numberFrom'
import { Field } from '../ui/Field'

/** A label as it is typed. */
export interface Label {
  tag: string
  type: string
  rating_ampere: string
  rating_standard: string
  date_code: string
}

export const emptyLabel: Label = { tag: '', type: 'flooded', rating_ampere: '', rating_standard: 'SAE', date_code: '' }

/** As the server takes it; a figure that is none goes along as it was typed. */
export const labelled = (id: string, { tag, type, rating_ampere, rating_standard, date_code }: Label) => ({
  id,
  tag,
  type,
  rating_standard,
  rating_ampere: numberFrom(rating_ampere) as number,
  date_code: date_code || null,
})

interface Props {
  register: UseFormRegister<Label>
  fields: Partial<Record<string, string[]>>
}

/** What a battery's label says, and the tag that makes it the same battery for ever. */
export function LabelFields({ register, fields }: Props) {
  const { data: lists } = useQuery(catalogue())
  return (
    <>
      <Field label="Tag" help="What you write on it so that it stays the same battery" error={fields.tag?.[0]}>
        {(wiring) => <input {...wiring} {...register('tag')} />}
      </Field>
      <Field label="Type">
        {(wiring) => (
          <select {...wiring} {...register('type')}>
            {lists?.battery_types.map((type) => (
              <option key={type.key} value={type.key}>
                {type.label}
              </option>
            ))}
          </select>
        )}
      </Field>
      <div className="grid grid-cols-2 gap-4">
        <Field label="Cold cranking rating, A" error={fields.rating_ampere?.[0]}>
          {(wiring) => <input {...wiring} {...register('rating_ampere')} inputMode="decimal" />}
        </Field>
        <Field label="By which standard">
          {(wiring) => (
            <select {...wiring} {...register('rating_standard')}>
              {lists?.rating_standards.map((standard) => (
                <option key={standard}>{standard}</option>
              ))}
            </select>
          )}
        </Field>
      </div>
      <Field label="Date code" help="K24 or 10/24; empty if not readable" error={fields.date_code?.[0]}>
        {(wiring) => <input {...wiring} {...register('date_code')} />}
      </Field>
    </>
  )
}
