import type { FieldValues, Path, UseFormSetError } from 'react-hook-form'
import type { HttpError } from '../api/http'

/** Puts the server's sentences at the fields they belong to; server words win. */
export function showFieldErrors<T extends FieldValues>(error: HttpError, setError: UseFormSetError<T>) {
  for (const [field, sentences] of Object.entries(error.fields)) {
    setError(field as Path<T>, { message: sentences.join(', ') })
  }
}
