import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { HttpError } from '../../shared/api/http'
import { proposal, tickAll, type Proposal, type Tonight } from '../../shared/api/tonight'
import { glued } from '../../shared/quantities/glued'
import { numberFrom } from '../../shared/quantities/numberFrom'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { useWrite } from '../../shared/writes/useWrite'
import { TextField } from '../../shared/ui/TextField'

const NOTHING = {}
const lowered = (words: string) => words.charAt(0).toLowerCase() + words.slice(1)

function Proposed({ data }: { data: Proposal }) {
  const ticking = useWrite<object, Tonight>({ name: 'tick-all', empty: NOTHING })
  if (data.choices.length === 0) return <p>Nothing that is worth it fits into that.</p>
  return (
    <div className="flex flex-col gap-2">
      <ol>
        {data.choices.map((one) => (
          <li key={one.unit_id} className="rule-below grid grid-cols-[1fr_auto] items-baseline gap-x-4 py-2">
            <span>
              <span className="font-label font-bold">{one.unit}</span>, {one.yard}: {lowered(one.words)}{' '}
              <span className="text-quiet">
                no start {one.chance_words}, then {one.then_words}
              </span>
            </span>
            <span className="font-figure">{glued(`${one.minutes} min`)}</span>
          </li>
        ))}
      </ol>
      <p role="status">
        {glued(`${data.used} of ${data.minutes} min.`)} Expected not to start: {data.failing} as they stand,{' '}
        <span className="font-semibold">{data.failing_then} with that done.</span>
      </p>
      <Button
        className="self-start"
        disabled={ticking.isPending}
        onClick={() => {
          void ticking.write(() => tickAll(data.choices))
        }}
      >
        Tick {data.choices.length === 1 ? 'that' : `these ${data.choices.length}`}
      </Button>
      <ErrorNote error={ticking.error} />
    </div>
  )
}

/** What cannot be done everywhere or every night: no heaters, no spares, no second pair of hands. */
const KINDS = [
  { label: 'Heat', keys: ['heat'] },
  { label: 'Charge', keys: ['charge'] },
  { label: 'Replace batteries', keys: ['weaker', 'whole_bank'] },
  { label: 'Clean joints', keys: ['joints'] },
]

/** So long before night: what wins most within it, over the whole list or in one yard. */
export function MinutesLeft({ told }: { told: Tonight }) {
  const [typed, setTyped] = useState('')
  const [yard, setYard] = useState('')
  const [without, setWithout] = useState<string[]>([])
  const minutes = numberFrom(typed)
  const asked = useQuery(proposal(typeof minutes === 'number' ? minutes : null, yard, without))
  return (
    <details className="pt-3">
      <summary className="min-h-12 py-3 font-label font-bold dense:min-h-9 dense:py-2">
        What fits into the minutes before night
      </summary>
      <div className="flex flex-col gap-4">
        <div className="grid grid-cols-2 gap-4 desk:grid-cols-[8rem_14rem]">
          <TextField
            label="Minutes left"
            error={asked.error instanceof HttpError ? asked.error.fields.minutes?.[0] : undefined}
            inputMode="numeric"
            value={typed}
            onText={setTyped}
          />
          <Field label="Yard">
            {(wiring) => (
              <select
                {...wiring}
                value={yard}
                onChange={(event) => {
                  setYard(event.target.value)
                }}
              >
                <option value="">All yards</option>
                {told.nights.map((night) => (
                  <option key={night.yard_id} value={night.yard_id}>
                    {night.yard}
                  </option>
                ))}
              </select>
            )}
          </Field>
        </div>
        <fieldset className="flex flex-wrap gap-x-6">
          <legend className="font-bold">Can be done tonight</legend>
          {KINDS.map(({ label, keys }) => (
            <label key={label} className="flex min-h-12 items-center gap-3 dense:min-h-9">
              <input
                type="checkbox"
                checked={!without.includes(keys[0] ?? '')}
                onChange={(event) => {
                  setWithout(
                    event.target.checked ? without.filter((key) => !keys.includes(key)) : [...without, ...keys],
                  )
                }}
              />
              {label}
            </label>
          ))}
        </fieldset>
        {asked.data && typeof minutes === 'number' && <Proposed data={asked.data} />}
      </div>
    </details>
  )
}
