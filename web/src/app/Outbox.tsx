import { useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { refresh } from '../shared/api/refresh'
import { Button } from '../shared/ui/Button'
import { keepSending } from '../shared/unsent/queue'
import { UnsentSheet } from '../shared/unsent/UnsentSheet'
import { useStoreRefuses, useUnsent } from '../shared/unsent/useUnsent'

/** Says how many writes wait on this device and how many were refused, and keeps sending them while somebody is signed in. */
export function Outbox({ person }: { person: number }) {
  const [open, setOpen] = useState(false)
  const queries = useQueryClient()
  const { waiting, refused } = useUnsent(person)
  const storeRefuses = useStoreRefuses()
  useEffect(() => keepSending(person, (wish) => refresh(queries, wish.path)), [person, queries])
  const words = [waiting.length > 0 && `${waiting.length} waiting`, refused.length > 0 && `${refused.length} refused`]
    .filter(Boolean)
    .join(', ')
  return (
    <>
      {storeRefuses && (
        <p role="alert" className="border-l-4 border-act pl-4 font-semibold">
          This device keeps nothing more: its storage is full or closed. What you type is lost with this page, so save
          it while there is network, and make room.
        </p>
      )}
      <span role="status" className={words ? 'fixed right-4 bottom-16 z-10 bg-ground desk:bottom-4' : 'sr-only'}>
        {words && (
          <Button
            className={`whitespace-nowrap ${refused.length > 0 ? 'text-act' : ''}`}
            onClick={() => {
              setOpen(true)
            }}
          >
            {words}
          </Button>
        )}
      </span>
      <UnsentSheet
        person={person}
        open={open}
        onClose={() => {
          setOpen(false)
        }}
      />
    </>
  )
}
