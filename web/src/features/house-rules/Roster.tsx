import { useState, type ReactNode } from 'react'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Sheet } from '../../shared/ui/Sheet'

/** A list that a lead keeps: a line each, one added or changed at a time in a sheet over the page. */
export function Roster<Row extends { id: string | number; name: string }>({
  title,
  one,
  rows,
  error,
  line,
  form,
}: {
  title: string
  one: string
  rows: Row[] | undefined
  error: Error | null
  line: (row: Row) => ReactNode
  form: (row: Row | undefined, onDone: () => void) => ReactNode
}) {
  const [open, setOpen] = useState<Row | 'new' | null>(null)
  const close = () => {
    setOpen(null)
  }
  return (
    <section aria-labelledby={one}>
      <div className="rule-below flex items-baseline justify-between gap-4">
        <h2 id={one} className="pb-1 text-lead">
          {title} <span className="text-quiet">{rows?.length}</span>
        </h2>
        <Button
          look="quiet"
          onClick={() => {
            setOpen('new')
          }}
        >
          Add a {one}
        </Button>
      </div>
      <ErrorNote error={error} />
      <ul>
        {rows?.map((row) => (
          <li key={row.id} className="rule-below grid grid-cols-[1fr_auto] items-center gap-x-4">
            <span className="min-w-0 py-2 break-words">{line(row)}</span>
            <Button
              look="quiet"
              aria-label={`Change ${row.name}`}
              onClick={() => {
                setOpen(row)
              }}
            >
              Change
            </Button>
          </li>
        ))}
      </ul>
      <Sheet
        title={open === 'new' ? `Add a ${one}` : `Change ${open?.name ?? ''}`}
        open={open !== null}
        onClose={close}
      >
        {open !== null && form(open === 'new' ? undefined : open, close)}
      </Sheet>
    </section>
  )
}
