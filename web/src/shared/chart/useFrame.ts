import type { RefObject } from 'react'
import { useRoom } from '../ui/useRoom'

/** Before anybody knows how wide its place is. */
const UNMEASURED = 320
const FEWEST = 2

interface Frame {
  element: RefObject<HTMLElement | null>
  width: number
  /** As many labels as stand side by side. */
  ticks: number
}

/** A chart as wide as its place, so that its letters keep their size; `label` is the width of one on its line, in pixels. */
export function useFrame(label: number, most: number): Frame {
  const [element, room] = useRoom<HTMLElement>()
  const width = room || UNMEASURED
  return { element, width, ticks: Math.max(Math.min(Math.floor(width / label), most), FEWEST) }
}
