import type { ReactNode } from 'react'

/** One sentence that says what was wrong and what to do; spoken as soon as it appears. */
export function ErrorNote({ error, children }: { error: Error | null; children?: ReactNode }) {
  if (!error) return null
  return (
    <div role="alert" className="border-l-4 border-act py-2 pl-4">
      <p className="font-semibold text-act">{error.message}</p>
      {children}
    </div>
  )
}
