import type { PicturePart, PictureWire } from '../api/drawing'
import type { Loop } from '../api/types'
import { signOf, type Pin } from '../drawing/symbols'
import type { LoopLayout, Spot } from './layout'

type Way = 'feed' | 'back'
type At = [number, number]

/** As sheets are drawn: what is live in copper, ground in short dashes. */
export const STANDS = { feed: 'live', back: 'ground' } as const

interface Line {
  wire: PictureWire
  way: Way
}

/** A loop in parts and wires of the drawing kit. */
export interface LoopPicture {
  /** Drawn larger, so that its signs are as large as the words beside it. */
  battery: { part: PicturePart; scale: number; x: number; y: number }
  parts: PicturePart[]
  lines: Line[]
}

const GAP = 13
const BATTERY = { width: 70, height: 44 }
const SCALE = 1.25
const JOINT = 12

function line(name: string, way: Way, points: At[]): Line {
  return {
    way,
    wire: {
      wire: name,
      number: name,
      colour: null,
      own: false,
      shades: [null, null],
      thick: false,
      points,
      label: null,
    },
  }
}

/** The stretch to the next place; in two pieces with a gap where it fails. */
function stretch({ at, next, middle, place }: Spot, way: Way): Line[] {
  if (!next || !middle) return []
  const name = place.stretch?.label ?? place.label
  if (place.stretch?.reading?.verdict !== 'act')
    return [
      line(name, way, [
        [at.x, at.y],
        [next.x, next.y],
      ]),
    ]
  const x = Math.sign(next.x - at.x) * GAP
  const y = Math.sign(next.y - at.y) * GAP
  return [
    line(name, way, [
      [at.x, at.y],
      [middle.x - x, middle.y - y],
    ]),
    line(`${name} after the gap`, way, [
      [middle.x + x, middle.y + y],
      [next.x, next.y],
    ]),
  ]
}

function batteryOf(layout: LoopLayout, livePositive: boolean): { drawn: LoopPicture['battery']; feed: At; back: At } {
  const { x, y } = layout.battery
  const [live, other] = livePositive ? ['+', '-'] : ['-', '+']
  const feed: Pin = layout.vertical ? { name: live, side: 'bottom', x: 20 } : { name: live, side: 'top', x: 35 }
  const back: Pin = { name: other, side: 'bottom', x: layout.vertical ? 50 : 35 }
  const left = x - (BATTERY.width * SCALE) / 2
  const top = y - (BATTERY.height * SCALE) / 2
  const end = (pin: Pin): At => [left + pin.x * SCALE, top + (pin.side === 'top' ? 0 : BATTERY.height * SCALE)]
  const part = signOf('battery', 'BAT', { x: 0, y: 0, ...BATTERY }, [feed, back])
  return { drawn: { part, scale: SCALE, x: left, y: top }, feed: end(feed), back: end(back) }
}

/** From the end of a side to the battery or the load: along one way, then along the other. */
function corner(from: At, to: At, first: 'across' | 'along', layout: LoopLayout): At[] {
  const turned = layout.vertical ? first === 'along' : first === 'across'
  return [from, turned ? [to[0], from[1]] : [from[0], to[1]], to]
}

export function pictureOf(loop: Loop, layout: LoopLayout): LoopPicture {
  const battery = batteryOf(layout, loop.live_positive)
  const { x, y, width, height } = layout.load
  const load = signOf(loop.key === 'start' ? 'load' : 'alternator', 'M', layout.load)
  const into: At = layout.vertical ? [x, y + height / 2] : [x + width / 2, y]
  const out: At = layout.vertical ? [x + width, y + height / 2] : [x + width / 2, y + height]
  const spots = (side: Spot[], way: Way) =>
    side.map((spot) =>
      signOf('joint', `${way} ${spot.place.place}`, {
        x: spot.at.x - JOINT / 2,
        y: spot.at.y - JOINT / 2,
        width: JOINT,
        height: JOINT,
      }),
    )
  const ends = (['feed', 'back'] as const).flatMap((way) => {
    const side = layout[way]
    const [near, far] = way === 'feed' ? [side[0], side.at(-1)] : [side.at(-1), side[0]]
    if (!near || !far) return []
    const [atBattery, atLoad] = way === 'feed' ? [battery.feed, into] : [battery.back, out]
    const post: At = [near.at.x, near.at.y]
    // Standing, it leaves the battery downwards before it turns to its side.
    const home: At[] = layout.vertical
      ? [atBattery, [atBattery[0], atBattery[1] + 12], [post[0], atBattery[1] + 12], post]
      : corner(atBattery, post, 'along', layout)
    return [
      line(`${way} at the battery`, way, home),
      line(`${way} at the load`, way, corner([far.at.x, far.at.y], atLoad, 'across', layout)),
    ]
  })
  return {
    battery: battery.drawn,
    parts: [load, ...spots(layout.feed, 'feed'), ...spots(layout.back, 'back')],
    lines: [
      ...ends,
      ...layout.feed.flatMap((spot) => stretch(spot, 'feed')),
      ...layout.back.flatMap((spot) => stretch(spot, 'back')),
    ],
  }
}
