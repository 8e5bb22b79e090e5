import { useEffect } from 'react'
import { keysAreOn } from './setting'

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|SELECT|TEXTAREA)$/.test(target.tagName))

const isBehindDialog = () => document.querySelector('[role=dialog]') !== null

/** A single-key action: pressed anywhere but in a field or behind a dialog, and not where somebody turned single keys off. */
export function useKey(key: string, act: () => void) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== key || event.ctrlKey || event.metaKey || event.altKey) return
      if (isTyping(event.target) || isBehindDialog() || !keysAreOn()) return
      event.preventDefault()
      act()
    }
    window.addEventListener('keydown', onKey)
    return () => {
      window.removeEventListener('keydown', onKey)
    }
  }, [key, act])
}
