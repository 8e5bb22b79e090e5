import type { Loop, LoopPlace } from '../api/types'

interface Point {
  x: number
  y: number
}

export interface Spot {
  place: LoopPlace
  at: Point
  /** where the stretch to the next place is read */
  middle: Point | null
  next: Point | null
}

export interface LoopLayout {
  width: number
  height: number
  vertical: boolean
  feed: Spot[]
  back: Spot[]
  /** Its middle. */
  battery: Point
  load: { x: number; y: number; width: number; height: number }
}

function along(places: LoopPlace[], from: Point, to: Point): Spot[] {
  const share = (index: number) => (places.length < 2 ? 0.5 : index / (places.length - 1))
  const point = (index: number): Point => ({
    x: from.x + (to.x - from.x) * share(index),
    y: from.y + (to.y - from.y) * share(index),
  })
  return places.map((place, index) => {
    const at = point(index)
    const next = index + 1 < places.length ? point(index + 1) : null
    return { place, at, next, middle: next && { x: (at.x + next.x) / 2, y: (at.y + next.y) / 2 } }
  })
}

/** Where it has room for its labels the loop lies: feed above, return below. */
const LIES_FROM = 540
const WIDEST = 760

/**
 * Laid out for the room there is, in its own pixels: labels and figures keep their size. Where it is narrow the loop stands: feed left,
 * return right.
 */
export function layOut(loop: Loop, room: number): LoopLayout {
  const width = Math.min(Math.max(room, 280), WIDEST)
  if (width >= LIES_FROM) {
    const last = width - 140
    return {
      width,
      height: 290,
      vertical: false,
      feed: along(loop.feed, { x: 112, y: 74 }, { x: last, y: 74 }),
      back: along(loop.return, { x: last, y: 222 }, { x: 112, y: 222 }),
      battery: { x: 46, y: 148 },
      load: { x: width - 108, y: 118, width: 100, height: 46 },
    }
  }
  const rows = Math.max(loop.feed.length, loop.return.length)
  const top = 150
  const bottom = top + (rows - 1) * 92
  return {
    width,
    height: bottom + 100,
    vertical: true,
    feed: along(loop.feed, { x: 24, y: top }, { x: 24, y: bottom }),
    back: along(loop.return, { x: width - 24, y: bottom }, { x: width - 24, y: top }),
    battery: { x: width / 2, y: 29 },
    load: { x: width / 2 - 50, y: bottom + 34, width: 100, height: 46 },
  }
}
