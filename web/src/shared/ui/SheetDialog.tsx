import { Dialog } from 'radix-ui'
import { useRef, type ReactNode } from 'react'
import { Button } from './Button'

/** The first thing to fill in takes the focus, not the way out. */
function focusFirstField(event: Event) {
  const field = (event.target as HTMLElement).querySelector<HTMLElement>('input, select, textarea')
  if (!field) return
  event.preventDefault()
  field.focus()
}

/** Back to where it was; where that is gone from the page, to the work. */
function focusBack(before: Element | null) {
  const there = before instanceof HTMLElement && before.isConnected && before !== document.body
  const back = there ? before : document.getElementById('work')
  back?.focus({ preventScroll: true })
}

/** The first Escape closes the list of a box, the next one the sheet. */
function keepWithOpenList(event: KeyboardEvent) {
  if ((event.target as HTMLElement).getAttribute('aria-expanded') === 'true') event.preventDefault()
}

/** What a sheet is made of: it comes with the first one that is opened. */
export function SheetDialog({
  title,
  open,
  onClose,
  children,
}: {
  title: string
  open: boolean
  onClose: () => void
  children: ReactNode
}) {
  const before = useRef<Element | null>(null)
  return (
    <Dialog.Root
      open={open}
      onOpenChange={(next) => {
        if (!next) onClose()
      }}
    >
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-20 bg-black/50" />
        <Dialog.Content
          aria-describedby={undefined}
          onOpenAutoFocus={(event) => {
            before.current = document.activeElement
            focusFirstField(event)
          }}
          onCloseAutoFocus={(event) => {
            event.preventDefault()
            focusBack(before.current)
          }}
          onEscapeKeyDown={keepWithOpenList}
          className="fixed inset-x-0 bottom-0 z-30 max-h-[92dvh] overflow-y-auto border-t-4 border-copper bg-ground p-5 desk:inset-x-auto desk:top-0 desk:right-0 desk:max-h-none desk:w-[34rem] desk:border-t-0 desk:border-l-4 desk:p-8"
        >
          <div className="flex items-baseline justify-between gap-4 pb-4">
            <Dialog.Title className="text-lead">{title}</Dialog.Title>
            <Dialog.Close asChild>
              <Button look="quiet">Close</Button>
            </Dialog.Close>
          </div>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
