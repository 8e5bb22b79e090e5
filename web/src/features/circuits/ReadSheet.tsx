import { useState } from 'react'
import { Link } from 'react-router'
import { Segments } from '../../shared/ui/Segments'
import type { UnitCircuits } from '../../shared/api/circuits'
import { DrawnSheet } from './drawn/DrawnSheet'
import { lookUp } from './tables/lookUp'
import type { Reading } from './reading'
import { PinTable } from './tables/PinTable'
import { WireTable } from './tables/WireTable'
import { readAs } from './useSheetPlace'

const READ_AS = [
  { key: 'drawing', label: 'drawing' },
  { key: 'pins', label: 'pins' },
  { key: 'wires', label: 'wires' },
] as const

interface Props extends Reading {
  /** Sheets of the unit, where all of them are shown as one. */
  fitted: UnitCircuits['sheets']
}

/** All sheets of a unit as one are read as a table: each has a drawing of its own. */
function Drawings({ fitted }: { fitted: UnitCircuits['sheets'] }) {
  return (
    <ul aria-label="Drawings" className="flex flex-col">
      {fitted.map((line) => (
        <li key={line.id} className="rule-below">
          <Link to={`/circuits/${line.id}`} className="block min-h-12 py-3 dense:min-h-10 dense:py-2">
            {line.title}
          </Link>
        </li>
      ))}
    </ul>
  )
}

/** The sheet itself: its drawing, or its pins or wires as a table; what is looked up stands out in each. */
export function ReadSheet({ sheet, place, state, go, sheetOf, toAnswer, fitted }: Props) {
  const [words, setWords] = useState('')
  const stateIndex = sheet.states.findIndex((one) => one.key === state)
  const { parts, wires, landing } = lookUp(sheet, words)
  const whole = sheet.joined.length > 0
  const view = readAs(place, whole)
  const onWire = (wire: string) => {
    go({ wire })
  }
  const none = (view === 'wires' ? wires : parts).length === 0
  return (
    <>
      <form
        className="flex flex-wrap items-end gap-3 pb-2"
        onSubmit={(event) => {
          event.preventDefault()
          if (landing) go(landing)
        }}
      >
        <label className="min-w-[min(12rem,100%)] flex-1">
          <span className="sr-only">Pin, wire or component on this sheet</span>
          <input
            type="search"
            placeholder="Pin, wire or component, Enter lands on it"
            value={words}
            onChange={(event) => {
              setWords(event.target.value)
            }}
          />
        </label>
        <Segments
          label="Read as"
          size="answer"
          options={READ_AS}
          chosen={view}
          onChoose={(key) => {
            go({ view: key })
          }}
        />
      </form>
      {none && <p className="py-3">Nothing on this sheet is called that.</p>}
      {view === 'drawing' &&
        (whole ? <Drawings fitted={fitted} /> : <DrawnSheet {...{ sheet, place, state, go, sheetOf, toAnswer }} />)}
      {view === 'pins' && (
        <PinTable
          sheet={sheet}
          parts={parts}
          stateIndex={stateIndex}
          chosen={place.pin}
          onPin={(pin) => {
            go({ pin })
          }}
          onWire={onWire}
          onOpen={(open) => {
            go({ open })
          }}
        />
      )}
      {view === 'wires' && <WireTable wires={wires} stateIndex={stateIndex} chosen={place.wire} onWire={onWire} />}
    </>
  )
}
