import { useCallback, useState } from 'react'

/** One id per intention: the same until it is renewed after success, so that tapping twice sends one request. */
export function useRequestId(): [string, () => void] {
  const [id, setId] = useState(() => crypto.randomUUID())
  const renew = useCallback(() => {
    setId(crypto.randomUUID())
  }, [])
  return [id, renew]
}
