import { useState } from 'react'
import { keysAreOn, turnKeys } from '../shared/keys/setting'

const KEYS = [
  { key: '/', does: 'Find a unit, battery or job' },
  { key: 't', does: 'Today' },
  { key: 'n', does: 'On a job: do the next step' },
  { key: 'r', does: 'On a job: record a repair' },
  { key: 'Enter', does: 'On the pad: save the reading' },
  { key: 'Esc', does: 'Close a sheet' },
  { key: '?', does: 'This list' },
]

export function KeyList() {
  const [on, setOn] = useState(keysAreOn())
  return (
    <div className="flex flex-col gap-5">
      <label className="flex min-h-12 items-center gap-3 font-bold">
        <input
          type="checkbox"
          checked={on}
          onChange={(event) => {
            turnKeys(event.target.checked)
            setOn(event.target.checked)
          }}
        />
        Single keys do something
      </label>
      <dl className="grid grid-cols-[5rem_1fr] gap-y-3">
        {KEYS.map(({ key, does }) => (
          <div key={key} className="contents">
            <dt>
              <kbd className="border border-quiet px-2 py-0.5 font-label font-bold">{key}</kbd>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </div>
  )
}
