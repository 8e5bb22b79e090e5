import { useQuery } from '@tanstack/react-query'
import { useCallback, useMemo } from 'react'
import { useNavigate } from 'react-router'
import { Button } from '../../../shared/ui/Button'
import { Segments } from '../../../shared/ui/Segments'
import { Waiting } from '../../../shared/ui/Waiting'
import { drawing as drawingQuery, type Picture, type PicturePart, type SheetDrawing } from '../../../shared/api/drawing'
import { Pictures } from '../../../shared/drawing/Pictures'
import type { Spot } from '../../../shared/drawing/travel'
import { Shown } from '../../../shared/page/Shown'
import type { Reading } from '../reading'
import { spokenPin } from '../../../shared/drawing/names'
import { spokenVolt } from '../spoken'
import { useLooks } from './useLooks'

const SHOWS = [
  { key: 'colour', label: 'colours' },
  { key: 'stands', label: 'volts' },
] as const

/** In one line what is chosen and what it is at, or where the keys have come to. */
function ChosenLine({
  sheet,
  place,
  state,
  at,
}: Pick<Reading, 'sheet' | 'place' | 'state'> & { at: Spot | undefined }) {
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

function Legend({ pictures }: { pictures: Picture[] }) {
  return (
    <p className="text-quiet">
      <span className="font-semibold">Copper</span> live, <span className="font-semibold">long dashes</span> low,{' '}
      <span className="font-semibold">short dashes</span> ground, <span className="font-semibold">dots</span> open.
      {pictures.some((one) => one.faults.length > 0) &&
        ' Where a wire shows its number alone, the table has its colour.'}
    </p>
  )
}

function Drawn({ sheet, drawn, place, state, go, sheetOf, toAnswer }: Reading & { drawn: SheetDrawing }) {
  const looks = useLooks(sheet, place, state)
  const navigate = useNavigate()
  const { pin, wire } = place
  const part = place.part ?? (place.ask === null ? place.open : null)
  const chosen = useMemo(() => ({ pin, wire, part }), [pin, wire, part])
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
  const asked = pin ?? wire ?? place.part ?? place.open ?? place.ask
  return (
    <Pictures
      pictures={drawn.pictures}
      title={sheet.title}
      {...{ looks, chosen, onPin, onWire, onPart }}
      onZone={() => {
        go({ part: null })
      }}
      help="Tap a pin, wire or component."
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
      below={(spot) => (
        <>
          <div aria-live="polite" className="flex min-h-6 flex-wrap items-center justify-between gap-x-4">
            <ChosenLine sheet={sheet} place={place} state={state} at={spot} />
            {asked && (
              <Button look="quiet" className="desk:hidden" onClick={toAnswer}>
                More below
              </Button>
            )}
          </div>
          {sheet.overridden > 0 && (
            <p className="text-quiet">
              <span className="underline underline-offset-4">Underlined</span>: otherwise on this unit than on the
              sheet.
            </p>
          )}
          {place.show === 'stands' && <Legend pictures={drawn.pictures} />}
        </>
      )}
    />
  )
}

/** The sheet as it is drawn, beside what is asked of it. A sheet that cannot be drawn says why, and is read as its table. */
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
        return <Drawn {...props} drawn={data} />
      }}
    </Shown>
  )
}
