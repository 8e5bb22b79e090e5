import { useEffect } from 'react'

/** The page's name in the browser's tab and for whoever hears it read. */
export function useTitle(title: string) {
  useEffect(() => {
    document.title = title === '' ? 'Wattomneum' : `${title} · Wattomneum`
  }, [title])
}
