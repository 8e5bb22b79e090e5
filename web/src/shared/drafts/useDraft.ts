import { useCallback, useState } from 'react'

const read = (key: string): unknown => {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null')
  } catch {
    return null
  }
}

/** State that outlives a reload, a sign-out and a dead network: kept on this device until it is cleared. */
export function useDraft<T extends object>(key: string, empty: T): [T, (next: T) => void, () => void] {
  const storageKey = `draft:${key}`
  const [draft, setDraft] = useState<{ key: string; value: T }>(() => ({
    key: storageKey,
    value: { ...empty, ...(read(storageKey) as Partial<T> | null) },
  }))
  const current = draft.key === storageKey ? draft.value : { ...empty, ...(read(storageKey) as Partial<T> | null) }

  const keep = useCallback(
    (next: T) => {
      localStorage.setItem(storageKey, JSON.stringify(next))
      setDraft({ key: storageKey, value: next })
    },
    [storageKey],
  )
  const clear = useCallback(() => {
    localStorage.removeItem(storageKey)
    setDraft({ key: storageKey, value: empty })
  }, [storageKey, empty])
  return [current, keep, clear]
}
