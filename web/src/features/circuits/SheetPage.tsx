import { useQuery } from '@tanstack/react-query'
import { useCallback, useEffect, useRef } from 'react'
import { useParams } from 'react-router'
import { Beside } from '../../shared/drawing/Beside'
import { Segments } from '../../shared/ui/Segments'
import { useWide } from '../../shared/ui/useWide'
import { library, unitCircuits, sheet as sheetQuery, type SheetTable } from '../../shared/api/circuits'
import { Answer } from './answers/Answer'
import { Questions } from './Questions'
import { ReadSheet } from './ReadSheet'
import { Alarms, SheetHead } from './SheetHead'
import { readAs, useSheetPlace } from './useSheetPlace'
import { Shown } from '../../shared/page/Shown'
import { useTitle } from '../../shared/page/useTitle'

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
            <Beside
              drawn={drawn}
              drawing={
                <ReadSheet
                  {...{ sheet, place, state, go, sheetOf, toAnswer }}
                  fitted={sheet.joined.length > 0 ? (fitted?.sheets ?? []) : []}
                />
              }
            >
              <div ref={answer} className={`min-w-0 scroll-mt-4 ${drawn ? '' : 'max-desk:order-first'}`}>
                <div className="desk:sticky desk:top-4 desk:max-h-[calc(100dvh-2rem)] desk:overflow-y-auto desk:pr-3">
                  <Answer sheet={sheet} place={place} state={state} go={go} sheetOf={sheetOf} />
                </div>
              </div>
            </Beside>
            <Files sheet={sheet} />
          </div>
        )
      }}
    </Shown>
  )
}
