import { useEffect, useState } from 'react'

/** A part of the page over all of it, until it is turned back or Escape is pressed. */
export function useWholeScreen() {
  const [isWhole, setWhole] = useState(false)
  useEffect(() => {
    if (!isWhole) return
    const leave = (event: KeyboardEvent) => {
      if (event.key === 'Escape') setWhole(false)
    }
    document.addEventListener('keydown', leave)
    // What lies behind does not scroll.
    document.documentElement.style.overflow = 'hidden'
    return () => {
      document.removeEventListener('keydown', leave)
      document.documentElement.style.overflow = ''
    }
  }, [isWhole])
  return {
    isWhole,
    turn: () => {
      setWhole(!isWhole)
    },
  }
}
