import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { signOut } from '../shared/api/sessions'
import { useUnsent } from '../shared/unsent/useUnsent'
import { Button } from '../shared/ui/Button'
import { ErrorNote } from '../shared/ui/ErrorNote'
import { Sheet } from '../shared/ui/Sheet'

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
      {!asked && <ErrorNote error={error} />}
      <Sheet
        title="Sign out?"
        open={asked && kept > 0}
        onClose={() => {
          setAsked(false)
        }}
      >
        <div className="flex flex-col gap-4">
          <p role="alert">
            {kept} {kept === 1 ? 'entry waits' : 'entries wait'} on this device. Signed out, they stay here and go when
            you sign in here again.
          </p>
          <Button onClick={() => void leave()}>Sign out all the same</Button>
          <ErrorNote error={error} />
        </div>
      </Sheet>
    </>
  )
}
