import { useMemo, useSyncExternalStore } from 'react'
import type { Queued } from './queue'
import { storeRefuses, subscribe, unsent } from './store'
import type { Unsent } from './unsent'

const isQueued = (one: Unsent): one is Queued => one.wish !== null && one.state !== 'draft'

/** What this person's writes wait for: those on their way, and those that were refused. */
export function useUnsent(person: number): { waiting: Queued[]; refused: Queued[] } {
  const all = useSyncExternalStore(subscribe, unsent)
  return useMemo(() => {
    const mine = all.filter(isQueued).filter((one) => one.person === person)
    return {
      waiting: mine.filter(({ state }) => state === 'waiting'),
      refused: mine.filter(({ state }) => state === 'refused'),
    }
  }, [all, person])
}

/** Whether this device keeps nothing more. */
export const useStoreRefuses = (): boolean => useSyncExternalStore(subscribe, storeRefuses)
