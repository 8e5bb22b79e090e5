import { useEffect, useState, type ReactNode } from 'react'
import { openStore } from '../shared/unsent/store'
import { Waiting } from '../shared/ui/Waiting'

/** Draws nothing that somebody types into before what they typed is there. */
export function Opened({ person, children }: { person: number; children: ReactNode }) {
  const [openFor, setOpenFor] = useState<number | null>(null)
  useEffect(() => {
    void openStore(person).then(() => {
      setOpenFor(person)
    })
  }, [person])
  return openFor === person ? children : <Waiting what="what you typed" />
}
