import { useLayoutEffect, useRef, useState, type RefObject } from 'react'

/** How wide the place of an element is, in pixels, as it changes. */
export function useRoom<T extends HTMLElement>(): [RefObject<T | null>, number] {
  const element = useRef<T>(null)
  const [room, setRoom] = useState(0)
  useLayoutEffect(() => {
    if (!element.current) return
    const watch = new ResizeObserver(([entry]) => {
      if (entry) setRoom(Math.floor(entry.contentRect.width))
    })
    watch.observe(element.current)
    setRoom(Math.floor(element.current.getBoundingClientRect().width))
    return () => {
      watch.disconnect()
    }
  }, [])
  return [element, room]
}
