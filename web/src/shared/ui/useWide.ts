import { useSyncExternalStore } from 'react'

const media = window.matchMedia('(min-width: 60rem)')

/** True on a laptop, false on a phone. */
export function useWide(): boolean {
  return useSyncExternalStore(
    (listener) => {
      media.addEventListener('change', listener)
      return () => {
        media.removeEventListener('change', listener)
      }
    },
    () => media.matches,
  )
}
