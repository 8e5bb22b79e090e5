import { lazy, Suspense, useState, type ComponentProps } from 'react'
import type { SheetDialog } from './SheetDialog'

const dialog = () => import('./SheetDialog')
const Dialog = lazy(async () => ({ default: (await dialog()).SheetDialog }))

/** Fetched soon after the first page: a sheet may be wanted when there is no server to fetch it from. */
export const fetchSheets = () => dialog().catch(() => undefined)

/** A sheet over the page for a short piece of work; Escape closes it, focus returns to where it was. */
export function Sheet(asked: ComponentProps<typeof SheetDialog>) {
  const [wanted, setWanted] = useState(asked.open)
  if (asked.open && !wanted) setWanted(true)
  return (
    wanted && (
      <Suspense>
        <Dialog {...asked} />
      </Suspense>
    )
  )
}
