import { useCallback, useState } from 'react'
import { kept, keepHere } from '../device/setting'
import { usePerson } from '../session/session'

const read = (key: string): unknown => {
  try {
    return JSON.parse(kept(key) ?? 'null')
  } catch {
    return null
  }
}

/** State that outlives a reload and a sign-out, for what is never sent: kept on this device, under one's own name. */
export function useDraft<T extends object>(key: string, empty: T): [T, (next: T) => void] {
  const storageKey = `kept:${usePerson().id}:${key}`
  const [draft, setDraft] = useState<{ key: string; value: T }>(() => ({
    key: storageKey,
    value: { ...empty, ...(read(storageKey) as Partial<T> | null) },
  }))
  const current = draft.key === storageKey ? draft.value : { ...empty, ...(read(storageKey) as Partial<T> | null) }

  const keep = useCallback(
    (next: T) => {
      keepHere(storageKey, JSON.stringify(next))
      setDraft({ key: storageKey, value: next })
    },
    [storageKey],
  )
  return [current, keep]
}
