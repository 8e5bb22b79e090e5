import { useQuery } from '@tanstack/react-query'
import { useCallback, useEffect, useRef, type ReactNode } from 'react'
import { Link, useParams } from 'react-router'
import { Button } from '../../shared/ui/Button'
import { Segments } from '../../shared/ui/Segments'
import { useWide } from '../../shared/ui/useWide'
import { library, unitCircuits, sheet as sheetQuery, type SheetTable } from '../../shared/api/circuits'
import { CausePanel } from './CausePanel'
import { Conflicts } from './Conflicts'
import { LivePanel } from './LivePanel'
import { OpeningPanel } from './OpeningPanel'
import { OwnPanel } from './OwnPanel'
import { PartPanel } from './PartPanel'
import { PinPanel } from './PinPanel'
import { ReadSheet } from './ReadSheet'
import { readAs, useSheetPlace, type Place } from './useSheetPlace'
import { VersionsPanel } from './VersionsPanel'
import { WirePanel } from './WirePanel'
import { Working } from './Working'
import { Shown } from '../../shared/page/Shown'
import { useTitle } from '../../shared/page/useTitle'

/** Chatter, blown fuses, relays near their threshold and shorts: said before anything else. */
function Alarms({ sheet, state }: { sheet: SheetTable; state: string }) {
  const now = sheet.states.find((one) => one.key === state)
  const lines = [
    ...(now?.chattering ?? []).map((name) => `${name} chatters in this key state: it never comes to rest`),
    ...(now?.blown ?? []).map((one) => `${one.fuse} blows at ${one.ampere.toFixed(0)} A`),
    ...(now?.uncertain ?? []).map((name) => `${name} is near its threshold: it may pull in or not`),
    ...sheet.shorts,
  ]
  if (lines.length === 0) return null
  return (
    <ul role="alert" className="border-l-4 border-act pl-4 font-semibold text-act">
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  )
}

/** What is its own has its link in the head. */
type Question = Exclude<NonNullable<Place['ask']>, 'own'>

const WORDS: Record<Question, string> = {
  cause: 'Dead and working',
  live: 'What stays live',
  conflicts: 'Conflicts',
  versions: 'Versions',
}

/** What can be asked of the whole sheet: in a row, on a phone in one line that opens. */
function Questions({ sheet, place, go }: { sheet: SheetTable; place: Place; go: (next: Partial<Place>) => void }) {
  const wide = useWide()
  const questions: Question[] = [
    'cause',
    'live',
    ...(sheet.unit ? (['conflicts'] as const) : []),
    ...(sheet.joined.length === 0 ? (['versions'] as const) : []),
  ]
  const ask = (key: Place['ask']) => {
    const isolator = sheet.parts.find((part) => part.kind === 'isolator')
    go(key === 'live' ? { ask: key, open: isolator?.id ?? null } : { ask: key })
  }
  if (!wide)
    return (
      <select
        aria-label="Ask the sheet"
        value={place.ask === 'own' ? '' : (place.ask ?? '')}
        onChange={(event) => {
          ask(questions.find((key) => key === event.target.value) ?? null)
        }}
      >
        <option value="">Ask the sheet</option>
        {questions.map((key) => (
          <option key={key} value={key}>
            {WORDS[key]}
          </option>
        ))}
      </select>
    )
  return (
    <div className="flex flex-wrap gap-2">
      {questions.map((key) => (
        <Button
          key={key}
          look={place.ask === key ? 'main' : 'plain'}
          aria-pressed={place.ask === key}
          onClick={() => {
            ask(key)
          }}
        >
          {WORDS[key]}
        </Button>
      ))}
    </div>
  )
}

function Answer({
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
  if (place.ask === 'versions' && sheet.joined.length === 0) return <VersionsPanel sheet={sheet} />
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

function SheetHead({ sheet, children }: { sheet: SheetTable; children: ReactNode }) {
  return (
    <header className="rule-below flex flex-col gap-3 pb-3">
      <div className="flex flex-wrap items-end justify-between gap-x-6">
        <h1 className="text-reading leading-tight desk:text-display">
          {sheet.unit && (
            <>
              <Link to={`/units/${sheet.unit.id}`}>{sheet.unit.number}</Link>{' '}
            </>
          )}
          <span className="font-medium">{sheet.title}</span>
        </h1>
        <p className="text-quiet">
          {sheet.system_volt} V,{' '}
          {sheet.joined.length > 0 ? `${sheet.joined.length} sheets as one` : `version ${sheet.n}`}
          {sheet.overridden > 0 && ', '}
          {sheet.overridden > 0 &&
            (sheet.joined.length > 0 ? (
              `${sheet.overridden} of its own`
            ) : (
              <Link to="?ask=own">{sheet.overridden} of its own</Link>
            ))}
        </p>
      </div>
      {children}
    </header>
  )
}

/** The sheet as files that any program reads. */
function Files({ sheet }: { sheet: SheetTable }) {
  const files = [
    ['sheet.yml', 'Sheet as YAML'],
    ['wires.csv', 'Wires as CSV'],
    ...(sheet.joined.length === 0
      ? [
          ['drawing.svg', 'Drawing as SVG'],
          ['book.pdf', 'Book on A4'],
          ['book.pdf?paper=a3', 'Book on A3'],
        ]
      : []),
  ]
  return (
    <footer className="rule-above flex flex-wrap gap-x-6 pt-2 print:hidden">
      {files.map(([file, words]) => (
        <a key={file} href={`/api/circuits/${sheet.id}/${file}`} download className="min-h-12 py-3">
          {words}
        </a>
      ))}
    </footer>
  )
}

/** A sheet as a table with its key-state switch on one side, the answer to what was asked on the other. */
export function SheetPage() {
  const { id = '' } = useParams()
  const [place, go] = useSheetPlace()
  const table = useQuery(sheetQuery(id))
  useTitle(table.data?.title ?? '')
  const sheet = table.data
  const { data: all } = useQuery({ ...library(), enabled: sheet !== undefined && !sheet.unit })
  const { data: fitted } = useQuery({ ...unitCircuits(sheet?.unit?.id ?? ''), enabled: Boolean(sheet?.unit) })
  const answer = useRef<HTMLDivElement>(null)
  const asked = place.part ?? place.pin ?? place.wire ?? place.open ?? place.ask
  const wide = useWide()
  const drawn = sheet !== undefined && readAs(place, sheet.joined.length > 0) === 'drawing'
  const toAnswer = useCallback(() => {
    answer.current?.scrollIntoView({ block: 'start' })
  }, [])
  // On a phone the answer stands above a long table: bring it into sight. Below a drawing it waits until it is asked for.
  useEffect(() => {
    if (asked && !wide && !drawn) toAnswer()
  }, [asked, sheet, wide, drawn, toAnswer])
  return (
    <Shown asked={table} what="the sheet">
      {(sheet) => {
        const state = place.state ?? sheet.states.at(-1)?.key ?? ''
        const siblings = fitted?.sheets ?? all?.sheets ?? []
        const sheetOf = (key: string) => siblings.find((line) => line.key === key)?.id
        return (
          <div className="flex flex-col gap-5">
            <SheetHead sheet={sheet}>
              <div className="flex flex-wrap items-center justify-between gap-3">
                <Segments
                  label="Key state"
                  options={sheet.states}
                  chosen={state}
                  onChoose={(key) => {
                    go({ state: key })
                  }}
                />
                <Questions sheet={sheet} place={place} go={go} />
              </div>
            </SheetHead>
            <Alarms sheet={sheet} state={state} />
            <div className="grid gap-8 desk:grid-cols-[minmax(0,1.35fr)_minmax(0,1fr)] desk:gap-8">
              <div ref={answer} className={`min-w-0 scroll-mt-4 desk:order-2 ${drawn ? 'order-2' : ''}`}>
                <div className="desk:sticky desk:top-4 desk:max-h-[calc(100dvh-2rem)] desk:overflow-y-auto desk:pr-3">
                  <Answer sheet={sheet} place={place} state={state} go={go} sheetOf={sheetOf} />
                </div>
              </div>
              <div className="min-w-0">
                <ReadSheet
                  {...{ sheet, place, state, go, sheetOf, toAnswer }}
                  fitted={sheet.joined.length > 0 ? (fitted?.sheets ?? []) : []}
                />
              </div>
            </div>
            <Files sheet={sheet} />
          </div>
        )
      }}
    </Shown>
  )
}
