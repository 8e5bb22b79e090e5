import { useEffect, useRef } from 'react'
import { NavigationType, useLocation, useNavigationType } from 'react-router'

/** A new page begins at its top, with the focus on it; going back leaves the place where it was. */
export function useArrival(main: React.RefObject<HTMLElement | null>) {
  const { pathname } = useLocation()
  const how = useNavigationType()
  const before = useRef(pathname)
  useEffect(() => {
    if (before.current === pathname) return
    before.current = pathname
    if (how === NavigationType.Pop) return
    window.scrollTo(0, 0)
    main.current?.focus({ preventScroll: true })
  }, [pathname, how, main])
}
