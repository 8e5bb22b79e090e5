import { useState, type ReactNode } from 'react'

/** A section under a heading with its count: folded, the heading stays and says how much there is. */
export function Fold({
  id,
  title,
  note,
  open: openAtFirst,
  children,
}: {
  id: string
  title: string
  note: ReactNode
  open: boolean
  children: ReactNode
}) {
  const [open, setOpen] = useState(openAtFirst)
  return (
    <section aria-labelledby={id} className="pb-4 desk:pb-8">
      <details
        open={open}
        className="group"
        onToggle={(event) => {
          setOpen(event.currentTarget.open)
        }}
      >
        <summary className="rule-below flex min-h-12 cursor-pointer list-none items-center gap-3 [&::-webkit-details-marker]:hidden">
          <h2 id={id} className="text-lead">
            {title} <span className="text-quiet">{note}</span>
          </h2>
          <span aria-hidden className="text-quiet group-open:rotate-90 print:hidden">
            ▸
          </span>
        </summary>
        {children}
      </details>
    </section>
  )
}
