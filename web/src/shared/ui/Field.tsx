import { useId, type ReactNode } from 'react'

interface Wiring {
  id: string
  'aria-describedby': string | undefined
  'aria-invalid': boolean | undefined
}

/** Label, help and error tied to one control. */
export function Field({
  label,
  help,
  error,
  children,
}: {
  label: string
  help?: string | undefined
  error?: string | undefined
  children: (wiring: Wiring) => ReactNode
}) {
  const id = useId()
  const notes = [help && `${id}-help`, error && `${id}-error`].filter(Boolean).join(' ')
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="font-bold">
        {label}
      </label>
      {children({ id, 'aria-describedby': notes || undefined, 'aria-invalid': error ? true : undefined })}
      {help && (
        <p id={`${id}-help`} className="text-quiet">
          {help}
        </p>
      )}
      {error && (
        <p id={`${id}-error`} className="font-semibold text-act">
          {error}
        </p>
      )}
    </div>
  )
}
