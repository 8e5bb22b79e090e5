import { useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { refresh } from '../shared/api/refresh'
import { keepSending } from '../shared/outbox/outbox'
import { OutboxSheet } from '../shared/outbox/OutboxSheet'
import { useOutbox } from '../shared/outbox/useOutbox'
import { Button } from '../shared/ui/Button'

/** Says how many writes wait on this device and how many were refused, and keeps sending them while somebody is signed in. */
export function Outbox({ person }: { person: number }) {
  const [open, setOpen] = useState(false)
  const queries = useQueryClient()
  const { waiting, refused } = useOutbox(person)
  useEffect(() => keepSending(person, (wish) => refresh(queries, wish.path)), [person, queries])
  const words = [waiting.length > 0 && `${waiting.length} waiting`, refused.length > 0 && `${refused.length} refused`]
    .filter(Boolean)
    .join(', ')
  return (
    <>
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
      <OutboxSheet
        person={person}
        open={open}
        onClose={() => {
          setOpen(false)
        }}
      />
    </>
  )
}
