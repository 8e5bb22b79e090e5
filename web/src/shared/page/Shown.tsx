import type { UseQueryResult } from '@tanstack/react-query'
import type { ReactNode } from 'react'
import { HERE, spokenTime } from '../quantities/when'
import { Button } from '../ui/Button'
import { Waiting } from '../ui/Waiting'

type Asked<T> = Pick<UseQueryResult<T>, 'data' | 'error' | 'dataUpdatedAt' | 'refetch'>

/**
 * What was asked for, in each state it may be in: on its way, refused, there, or there from before while asking again fails. What was on
 * the screen stays, with its age.
 */
export function Shown<T>({
  asked,
  what,
  children,
}: {
  asked: Asked<T>
  what: string
  children: (data: T) => ReactNode
}) {
  const { data, error, dataUpdatedAt, refetch } = asked
  const again = <Button onClick={() => void refetch()}>Ask again</Button>
  if (data === undefined) {
    if (!error) return <Waiting what={what} />
    return (
      <div role="alert" className="flex flex-col items-start gap-3 border-l-4 border-act py-2 pl-4">
        <p className="font-semibold text-act">{error.message}</p>
        {again}
      </div>
    )
  }
  return (
    <>
      {error && (
        <div
          role="status"
          className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-2 border-l-4 border-watch py-1 pl-4"
        >
          <p>
            As it was at {spokenTime(new Date(dataUpdatedAt).toISOString(), HERE)}. {error.message}
          </p>
          {again}
        </div>
      )}
      {children(data)}
    </>
  )
}
