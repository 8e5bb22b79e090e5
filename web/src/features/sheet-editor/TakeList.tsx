import { useState } from 'react'
import { Button } from '../../shared/ui/Button'
import { Sheet } from '../../shared/ui/Sheet'
import type { Draft } from '../../shared/api/drafts'
import { ListForm } from './ListForm'

/** Wires as another hand or program listed them. */
export function TakeList({ draft, onSaved }: { draft: Draft; onSaved: (draft: Draft) => void }) {
  const [open, setOpen] = useState(false)
  const close = () => {
    setOpen(false)
  }
  return (
    <>
      <Button
        look="quiet"
        onClick={() => {
          setOpen(true)
        }}
      >
        Bring in a wire list
      </Button>
      <Sheet title="A wire list of another hand" open={open} onClose={close}>
        <ListForm
          draft={draft}
          onSaved={(reply) => {
            close()
            onSaved(reply)
          }}
          onWaiting={close}
        />
      </Sheet>
    </>
  )
}
