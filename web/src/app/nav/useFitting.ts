import { useLayoutEffect, useState, type RefObject } from 'react'

/**
 * How many of the children of a row fit into it, the last of them always: by what they really take, whatever size somebody reads at.
 *
 * @param ruler a row of all of them that nobody sees, as wide as the one that is seen
 */
export function useFitting(ruler: RefObject<HTMLElement | null>) {
  const [fitting, setFitting] = useState(Infinity)
  useLayoutEffect(() => {
    const row = ruler.current
    if (!row) return
    const measure = () => {
      const widths = [...row.children].map((child) => child.getBoundingClientRect().width)
      let left = row.clientWidth - (widths.pop() ?? 0)
      const past = widths.findIndex((width) => (left -= width) < 0)
      setFitting(past < 0 ? widths.length : past)
    }
    const watcher = new ResizeObserver(measure)
    watcher.observe(row)
    for (const child of row.children) watcher.observe(child)
    return () => {
      watcher.disconnect()
    }
  }, [ruler])
  return fitting
}
