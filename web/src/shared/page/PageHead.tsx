import type { ReactNode } from 'react'

/** The title of a list, what it holds in a line, and the one thing that may be done to it. */
export function PageHead({ title, words, children }: { title: string; words: ReactNode; children?: ReactNode }) {
  return (
    <div className="flex flex-wrap items-end justify-between gap-4 pb-6">
      <div>
        <h1 className="text-display leading-tight">{title}</h1>
        <p className="text-quiet">{words}</p>
      </div>
      {children}
    </div>
  )
}
