import { useState } from 'react'
import type { JobBench } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import type { PadTarget } from '../../shared/pad/pad'

const GROUPS = [
  { loop: 'batteries', label: 'Batteries' },
  { loop: 'start', label: 'Start loop' },
  { loop: 'asleep', label: 'Asleep' },
  { loop: 'charge', label: 'Charge loop' },
]

/** Any other test than the proposed one. */
export function TestPicker({ job, onPick }: { job: JobBench; onPick: (target: PadTarget) => void }) {
  const [key, setKey] = useState('')
  const [position, setPosition] = useState('A')
  const test = job.tests.find((one) => one.key === key)
  return (
    <div className="flex flex-wrap items-end gap-3">
      <label className="min-w-[min(14rem,100%)] flex-1">
        Another test
        <select
          value={key}
          onChange={(event) => {
            setKey(event.target.value)
          }}
        >
          <option value="">Choose a test</option>
          {GROUPS.map((group) => (
            <optgroup key={group.loop} label={group.label}>
              {job.tests
                .filter((one) => one.loop === group.loop)
                .map((one) => (
                  <option key={one.key} value={one.key}>
                    {one.label}
                  </option>
                ))}
            </optgroup>
          ))}
        </select>
      </label>
      {test?.per_battery && test.positions.length > 1 && (
        <label className="w-24">
          Battery
          <select
            value={position}
            onChange={(event) => {
              setPosition(event.target.value)
            }}
          >
            {test.positions.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </select>
        </label>
      )}
      <Button
        disabled={!test}
        onClick={() => {
          if (test) onPick({ testKey: test.key, position: test.per_battery ? position : null })
        }}
      >
        Take it
      </Button>
    </div>
  )
}
