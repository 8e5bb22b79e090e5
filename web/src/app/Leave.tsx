import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { signOut } from '../shared/api/sessions'
import { useUnsent } from '../shared/unsent/useUnsent'
import { Button } from '../shared/ui/Button'
import { ErrorNote } from '../shared/ui/ErrorNote'

/** Signs out; where something waits on this device, it asks first. */
export function Leave({ person, look = 'plain' }: { person: number; look?: 'plain' | 'quiet' }) {
  const client = useQueryClient()
  const [asked, setAsked] = useState(false)
  const [error, setError] = useState<Error | null>(null)
  const { waiting, refused } = useUnsent(person)
  const kept = waiting.length + refused.length
  const leave = async () => {
    try {
      await signOut()
    } catch (caught) {
      setError(caught as Error)
      return
    }
    client.clear()
    window.location.assign('/')
  }
  if (asked && kept > 0) {
    return (
      <div role="alert" className="flex flex-col gap-2 border-l-4 border-watch pl-4">
        <p>
          {kept} {kept === 1 ? 'entry waits' : 'entries wait'} on this device. Signed out, they stay here and go when
          you sign in here again.
        </p>
        <Button onClick={() => void leave()}>Sign out all the same</Button>
        <ErrorNote error={error} />
      </div>
    )
  }
  return (
    <>
      <Button
        look={look}
        onClick={() => {
          if (kept > 0) setAsked(true)
          else void leave()
        }}
      >
        Sign out
      </Button>
      <ErrorNote error={error} />
    </>
  )
}
