import { useEffect, useId, useMemo, useRef, useState, type KeyboardEvent, type ReactNode } from 'react'
import type { Picture, PicturePart } from '../api/drawing'
import { beginning } from './beginning'
import type { Looks } from './looks'
import { Sheet } from './Sheet'
import { Travel, TRAVEL_KEYS, type Spot } from './travel'
import { Viewport, type View } from './Viewport'

/** A place of the sheet, by its name. */
export interface Chosen {
  pin: string | null
  wire: string | null
  part: string | null
}

/** Where a place of the sheet lies on its pictures. */
function find(pictures: Picture[], { pin, wire, part }: Chosen) {
  for (const picture of pictures) {
    for (const one of picture.parts) {
      const at = one.pins.find((each) => each.pin === pin)
      if (at) return { picture, x: one.x + at.x, y: one.y + at.y }
      if (part !== null && pin === null && one.part === part)
        return { picture, x: one.x + one.width / 2, y: one.y + one.height / 2 }
    }
    const along = picture.wires.find((each) => each.number === wire && each.wire !== null)
    const middle = along && (along.label ?? { x: along.points[0]?.[0] ?? 0, y: along.points[0]?.[1] ?? 0 })
    if (middle) return { picture, x: middle.x, y: middle.y }
  }
  return null
}

interface Props {
  pictures: Picture[]
  title: string
  looks: Looks
  chosen: Chosen
  onPin: (pin: string) => void
  onWire: (wire: string) => void
  onPart: (part: PicturePart) => void
  /** Another zone was chosen. */
  onZone: () => void
  tools: ReactNode
  help: ReactNode
  /** Below it, told of where the keys have come to. */
  below: (spot: Spot | undefined) => ReactNode
}

/** The pictures of a sheet, one at a time: dragged, pinched and travelled by keys; what is chosen lands in the middle. */
export function Pictures({ pictures, title, looks, chosen, onPin, onWire, onPart, onZone, tools, help, below }: Props) {
  const found = useMemo(() => find(pictures, chosen), [pictures, chosen])
  const [zone, setZone] = useState(0)
  const picture = found?.picture ?? pictures[zone] ?? pictures[0]
  const view = useRef<View>(null)
  const helpId = useId()
  const travel = useMemo(() => (picture ? new Travel(picture) : null), [picture])
  const [cursor, setCursor] = useState<string | null>(null)
  const asked = found && `${found.x} ${found.y}`

  // A search, a link or a tap in the table lands here.
  useEffect(() => {
    if (found) view.current?.centre(found.x, found.y)
    // eslint-disable-next-line react-hooks/exhaustive-deps -- where it lies, not which object says so
  }, [asked])
  if (!picture || !travel) return null

  const spot = travel.at(cursor) ?? (chosen.pin !== null ? travel.on(chosen.pin) : undefined)
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return
    if (event.key === ' ' && spot?.port.pin) {
      event.preventDefault()
      onPin(spot.port.pin)
    }
    if (!TRAVEL_KEYS.includes(event.key)) return
    event.preventDefault()
    const next = spot ? travel.next(spot, event.key) : travel.first()
    if (!next) return
    setCursor(next.port.id)
    view.current?.centre(next.port.x, next.port.y)
  }
  const index = pictures.indexOf(picture)
  return (
    <div className="flex flex-col gap-2">
      {pictures.length > 1 && (
        <label className="flex items-center gap-3">
          <span>Zone</span>
          <select
            value={index}
            onChange={(event) => {
              setZone(Number(event.target.value))
              onZone()
            }}
          >
            {pictures.map((one, at) => (
              <option key={at} value={at}>
                {one.label}
              </option>
            ))}
          </select>
        </label>
      )}
      <Viewport
        key={index}
        width={picture.width}
        height={picture.height}
        begin={beginning(picture)}
        label={`Drawing of ${title}`}
        describedBy={helpId}
        view={view}
        onKeyDown={onKeyDown}
        tools={tools}
      >
        <Sheet picture={picture} looks={looks} pin={chosen.pin} {...{ onWire, onPin, onPart }} />
        {spot && cursor !== null && (
          <circle
            cx={spot.port.x}
            cy={spot.port.y}
            r="12"
            fill="none"
            strokeWidth="3"
            strokeDasharray="5 3"
            className="stroke-ink"
          />
        )}
      </Viewport>
      {below(cursor === null ? undefined : spot)}
      <p id={helpId} className="hidden text-quiet dense:block">
        {help} Keys: left and right to the next pin, up to supply, down to ground, Enter to the wire’s other end, space
        asks for the pin.
      </p>
    </div>
  )
}
