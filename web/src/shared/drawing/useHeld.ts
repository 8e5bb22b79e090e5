import { useCallback, useEffect, useRef, useState, type RefObject } from 'react'

/**
 * A finger that swipes over a drawing scrolls the page, until the drawing was tapped; then it moves the drawing, until something else is.
 * Two fingers, and a mouse, always move the drawing.
 */
export function useHeld(frame: RefObject<SVGSVGElement | null>, always: boolean) {
  const [tapped, setTapped] = useState(false)
  const held = tapped || always
  const now = useRef(held)
  useEffect(() => {
    now.current = held
  }, [held])
  useEffect(() => {
    const tap = (event: MouseEvent) => {
      setTapped(frame.current?.contains(event.target as Node) ?? false)
    }
    document.addEventListener('click', tap)
    return () => {
      document.removeEventListener('click', tap)
    }
  }, [frame])
  const mayMove = useCallback(
    (event: Event) => !('touches' in event) || now.current || (event as TouchEvent).touches.length > 1,
    [],
  )
  return { held, mayMove }
}
