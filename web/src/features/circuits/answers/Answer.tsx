import type { SheetTable } from '../../../shared/api/circuits'
import { CausePanel } from './CausePanel'
import { Conflicts } from './Conflicts'
import { LivePanel } from './LivePanel'
import { OpeningPanel } from './OpeningPanel'
import { OwnPanel } from '../own/OwnPanel'
import { PartPanel } from './PartPanel'
import { PinPanel } from './PinPanel'
import { StopsPanel } from '../stops/StopsPanel'
import type { Place } from '../useSheetPlace'
import { VersionsPanel } from './VersionsPanel'
import { WirePanel } from './WirePanel'
import { Working } from './Working'

/** What was asked of the sheet, in words. */
export function Answer({
  sheet,
  place,
  state,
  go,
  sheetOf,
}: {
  sheet: SheetTable
  place: Place
  state: string
  go: (next: Partial<Place>) => void
  sheetOf: (key: string) => string | undefined
}) {
  const onPin = (pin: string) => {
    go({ pin })
  }
  const onWire = (wire: string) => {
    go({ wire })
  }
  const onOpen = (open: string) => {
    go({ open })
  }
  const links = { sheetId: sheet.id, sheetOf, onPin, onWire }
  const onUnit = sheet.unit !== null && sheet.joined.length === 0
  const part = sheet.parts.find((one) => one.id === place.part)
  if (part)
    return (
      <PartPanel
        sheet={sheet}
        part={part}
        stateIndex={sheet.states.findIndex((one) => one.key === state)}
        onPin={onPin}
        onOpen={onOpen}
      />
    )
  if (place.ask === 'live') return <LivePanel sheet={sheet} state={state} item={place.open} go={go} />
  if (place.pin) return <PinPanel {...links} name={place.pin} state={state} />
  if (place.wire) return <WirePanel {...links} sheet={sheet} number={place.wire} onOpen={onOpen} />
  if (place.open) return <OpeningPanel sheet={sheet} item={place.open} />
  if (place.ask === 'cause') return <CausePanel sheet={sheet} onOpen={onOpen} />
  if (place.ask === 'versions' && sheet.joined.length === 0)
    return (
      <VersionsPanel
        sheet={sheet}
        since={place.since}
        onSince={(since) => {
          go({ ask: 'versions', since })
        }}
      />
    )
  if (place.ask === 'stops' && sheet.joined.length === 0) return <StopsPanel sheet={sheet} />
  if (place.ask === 'own' && onUnit) return <OwnPanel sheet={sheet} go={go} />
  if (place.ask === 'conflicts' && sheet.unit) return <Conflicts unitId={sheet.unit.id} />
  return (
    <div className="flex flex-col gap-3">
      <h2 className="text-reading leading-tight">Ask the sheet</h2>
      <p>
        Tap a pin: what should be there, and its way to supply and ground. Tap a wire: where it goes. Tap a component:
        its pins, and what falls dead with it.
      </p>
      {sheet.over_budget && (
        <p className="border-l-4 border-act pl-4 font-semibold">
          Too large to be worked out, so it shows no volts: {sheet.over_budget}.
        </p>
      )}
      {sheet.note && <p className="border-l-4 border-watch pl-4 font-semibold">{sheet.note}</p>}
      <Working
        sheet={sheet}
        stateIndex={sheet.states.findIndex((one) => one.key === state)}
        onPart={(part) => {
          go({ part })
        }}
      />
    </div>
  )
}
