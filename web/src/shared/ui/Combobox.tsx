import { ChoiceBox } from './ChoiceBox'
import type { Choice } from './choices'
import { Field } from './Field'

interface Props {
  label: string
  help?: string | undefined
  error?: string | undefined
  placeholder?: string
  choices: readonly Choice[]
  text: string
  onText: (text: string) => void
  /** Whether something that is not in the list may stand there as well. */
  free?: boolean
}

/** A field of a form that is chosen from a list or typed. */
export function Combobox({ label, help, error, ...box }: Props) {
  return (
    <Field label={label} help={help} error={error}>
      {(wiring) => <ChoiceBox {...box} {...{ label, wiring }} />}
    </Field>
  )
}
