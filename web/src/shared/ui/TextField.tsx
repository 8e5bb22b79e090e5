import type { ComponentProps } from 'react'
import { Field } from './Field'

interface Props extends Omit<ComponentProps<'input'>, 'id' | 'value' | 'onChange'> {
  label: string
  value: string
  onText: (text: string) => void
  help?: string | undefined
  error?: string | undefined
}

/** A labelled line to type in, with its help and its error. */
export function TextField({ label, value, onText, help, error, ...rest }: Props) {
  return (
    <Field label={label} help={help} error={error}>
      {(wiring) => (
        <input
          {...rest}
          {...wiring}
          value={value}
          onChange={(event) => {
            onText(event.target.value)
          }}
        />
      )}
    </Field>
  )
}
