import { useEffect, useRef } from 'react'
import { useForm, useWatch, type DefaultValues, type FieldValues, type Path } from 'react-hook-form'
import { useWrite } from './useWrite'

/** A form of several fields that writes as every form does: what is typed is kept, and the server's sentences stand at their fields. */
export function useFormWrite<T extends FieldValues, Reply>(options: Parameters<typeof useWrite<T, Reply>>[0]) {
  const writing = useWrite<T, Reply>(options)
  const { change, error } = writing
  const form = useForm<T>({ defaultValues: writing.value as DefaultValues<T> })
  const { setError } = form
  const typed = useWatch({ control: form.control })
  const before = useRef(typed)
  // As it is typed, and as it is taken back.
  useEffect(() => {
    if (before.current === typed) return
    before.current = typed
    change(typed as T)
  }, [change, typed])
  useEffect(() => {
    for (const [field, sentences] of Object.entries(error?.fields ?? {})) {
      setError(field as Path<T>, { message: sentences.join(', ') })
    }
  }, [error, setError])
  return { ...writing, form, errors: form.formState.errors }
}
