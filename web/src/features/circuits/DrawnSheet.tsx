import { useQuery } from '@tanstack/react-query'
import { useCallback, useEffect, useId, useMemo, useRef, useState, type KeyboardEvent } from 'react'
import { useNavigate } from 'react-router'
import { Button } from '../../shared/ui/Button'
import { Segments } from '../../shared/ui/Segments'
import { Waiting } from '../../shared/ui/Waiting'
import { drawing as drawingQuery, type Picture, type PicturePart, type SheetDrawing } from '../../shared/api/drawing'
import { Sheet } from '../../shared/drawing/Sheet'
import { Travel, TRAVEL_KEYS, type Spot } from '../../shared/drawing/travel'
import { Viewport, type View } from '../../shared/drawing/Viewport'
import { Shown } from '../../shared/page/Shown'
import type { Reading } from './reading'
import { spokenPin, spokenVolt } from './spoken'
import { useLooks } from './useLooks'
import type { Place } from './useSheetPlace'

const SHOWS = [
  { key: 'colour', label: 'colours' },
  { key: 'stands', label: 'volts' },
] as const

/** Where a place of the sheet lies on its pictures. */
function find(pictures: Picture[], place: Place) {
  const part = place.part ?? (place.ask === null ? place.open : null)
  for (const picture of pictures) {
    for (const one of picture.parts) {
      const pin = one.pins.find((each) => each.pin === place.pin)
      if (pin) return { picture, x: one.x + pin.x, y: one.y + pin.y }
      if (part !== null && place.pin === null && one.part === part)
        return { picture, x: one.x + one.width / 2, y: one.y + one.height / 2 }
    }
    const wire = picture.wires.find((each) => each.number === place.wire && each.wire !== null)
    const middle = wire && (wire.label ?? { x: wire.points[0]?.[0] ?? 0, y: wire.points[0]?.[1] ?? 0 })
    if (middle) return { picture, ...middle }
  }
  return null
}

/** In one line what is chosen and what it is at, or where the keys have come to. */
function Chosen({ sheet, place, state, at }: Pick<Reading, 'sheet' | 'place' | 'state'> & { at: Spot | undefined }) {
  const index = sheet.states.findIndex((one) => one.key === state)
  const pin = at?.port.pin ?? place.pin
  const part = sheet.parts.find((one) => one.id === (pin?.split(':', 1)[0] ?? place.part))
  const volts = part?.pins.find((one) => one.node === pin)?.volts[index]
  const wire = sheet.wires.find((one) => (at ? one.uuid === at.port.wire : one.number === place.wire))
  const words = [
    pin && `${spokenPin(pin)} ${part?.label ?? ''}${volts === undefined ? '' : `, ${spokenVolt(volts)}`}`,
    !pin && part && `${part.id} ${part.label}`,
    wire && `wire ${wire.number} ${wire.colour ?? ''}`,
  ].filter(Boolean)
  return <p className="text-lead">{words.join(', ')}</p>
}

function Legend({ picture }: { picture: Picture }) {
  return (
    <p className="text-quiet">
      <span className="font-semibold">Copper</span> live, <span className="font-semibold">long dashes</span> low,{' '}
      <span className="font-semibold">short dashes</span> ground, <span className="font-semibold">dots</span> open.
      {picture.faults.length > 0 && ' Where a wire shows its number alone, the table has its colour.'}
    </p>
  )
}

function OnePicture({ sheet, drawn, place, state, go, sheetOf, toAnswer }: Reading & { drawn: SheetDrawing }) {
  const found = useMemo(() => find(drawn.pictures, place), [drawn, place])
  const [zone, setZone] = useState(0)
  const picture = found?.picture ?? drawn.pictures[zone] ?? drawn.pictures[0]
  const looks = useLooks(sheet, place, state)
  const navigate = useNavigate()
  const view = useRef<View>(null)
  const help = useId()
  const travel = useMemo(() => (picture ? new Travel(picture) : null), [picture])
  const [cursor, setCursor] = useState<string | null>(null)
  const asked = found && `${found.x} ${found.y}`

  // A search, a link or a tap in the table lands here.
  useEffect(() => {
    if (found) view.current?.centre(found.x, found.y)
    // eslint-disable-next-line react-hooks/exhaustive-deps -- where it lies, not which object says so
  }, [asked])

  const onWire = useCallback(
    (wire: string) => {
      go({ wire })
    },
    [go],
  )
  const onPin = useCallback(
    (pin: string) => {
      go({ pin })
    },
    [go],
  )
  const onPart = useCallback(
    (part: PicturePart) => {
      if (part.sheet !== null) {
        const target = sheetOf(part.sheet)
        if (target) void navigate(`/circuits/${target}${part.at === null ? '' : `?pin=${encodeURIComponent(part.at)}`}`)
      } else if (part.part === null && part.at !== null) go({ pin: part.at })
      else if (part.part !== null) go({ part: part.part })
    },
    [go, navigate, sheetOf],
  )
  if (!picture || !travel) return null

  const spot = travel.at(cursor) ?? (place.pin !== null ? travel.on(place.pin) : undefined)
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return
    if (event.key === ' ' && spot?.port.pin) {
      event.preventDefault()
      go({ pin: spot.port.pin })
    }
    if (!TRAVEL_KEYS.includes(event.key)) return
    event.preventDefault()
    const next = spot ? travel.next(spot, event.key) : travel.first()
    if (!next) return
    setCursor(next.port.id)
    view.current?.centre(next.port.x, next.port.y)
  }
  const chosen = place.pin ?? place.wire ?? place.part ?? place.open ?? place.ask
  return (
    <div className="flex flex-col gap-2">
      {drawn.pictures.length > 1 && (
        <label className="flex items-center gap-3">
          <span>Zone</span>
          <select
            value={drawn.pictures.indexOf(picture)}
            onChange={(event) => {
              setZone(Number(event.target.value))
              go({ part: null })
            }}
          >
            {drawn.pictures.map((one, index) => (
              <option key={index} value={index}>
                {one.label}
              </option>
            ))}
          </select>
        </label>
      )}
      <Viewport
        key={drawn.pictures.indexOf(picture)}
        width={picture.width}
        height={picture.height}
        label={`Drawing of ${sheet.title}`}
        describedBy={help}
        view={view}
        onKeyDown={onKeyDown}
        tools={
          <div className="bg-ground">
            <Segments
              label="Wires show"
              size="dense"
              options={SHOWS}
              chosen={place.show === 'stands' && !sheet.over_budget ? 'stands' : 'colour'}
              onChoose={(key) => {
                go({ show: key === 'stands' ? 'stands' : null })
              }}
            />
          </div>
        }
      >
        <Sheet picture={picture} looks={looks} pin={place.pin} {...{ onWire, onPin, onPart }} />
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
      <div aria-live="polite" className="flex min-h-6 flex-wrap items-center justify-between gap-x-4">
        <Chosen sheet={sheet} place={place} state={state} at={cursor === null ? undefined : spot} />
        {chosen && (
          <Button look="quiet" className="desk:hidden" onClick={toAnswer}>
            More below
          </Button>
        )}
      </div>
      <p id={help} className="hidden text-quiet dense:block">
        Tap a pin, wire or component. Keys: left and right to the next pin, up to supply, down to ground, Enter to the
        wire’s other end, space asks for the pin.
      </p>
      {sheet.overridden > 0 && (
        <p className="text-quiet">
          <span className="underline underline-offset-4">Underlined</span>: otherwise on this unit than on the sheet.
        </p>
      )}
      {place.show === 'stands' && <Legend picture={picture} />}
    </div>
  )
}

/** The sheet as it is drawn, beside what is asked of it. A sheet that can not be drawn says why, and is read as its table. */
export function DrawnSheet(props: Reading) {
  const asked = useQuery(drawingQuery(props.sheet.id))
  return (
    <Shown asked={asked} what="the drawing">
      {(data) => {
        if ('before' in data)
          return <Waiting what={data.before > 0 ? `the drawing, after ${data.before} others` : 'the drawing'} />
        if (data.pictures.length === 0)
          return (
            <p role="status" className="border-l-4 border-watch pl-4">
              There is no drawing of this sheet: {data.problem}. Its pins and wires are all in the tables.
            </p>
          )
        return <OnePicture {...props} drawn={data} />
      }}
    </Shown>
  )
}
