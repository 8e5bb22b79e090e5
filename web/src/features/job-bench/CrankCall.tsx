import { useState } from 'react'
import type { TestCard } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { LET_GO_AT, useCrankCall, type Phase } from './useCrankCall'

const BIG: Record<Phase, (left: number, turned: number) => string> = {
  still: () => 'Ready',
  counting: (left) => String(left),
  cranking: (_, turned) => `Crank, ${turned} s`,
  resting: (left) => `Let go. Rest ${left} s`,
}

function Tick({ label, on, onTick }: { label: string; on: boolean; onTick: (on: boolean) => void }) {
  return (
    <label className="flex min-h-12 items-center gap-3 font-bold">
      <input
        type="checkbox"
        checked={on}
        onChange={(event) => {
          onTick(event.target.checked)
        }}
      />
      {label}
    </label>
  )
}

/** For one at the meter and one at the key: both points, a count to be seen or heard from the cab; never with somebody under the machine, nor before what can hurt was said yes to. */
export function CrankCall({ test, ready }: { test: TestCard; ready: boolean }) {
  const [under, setUnder] = useState(false)
  const [spoken, setSpoken] = useState(false)
  const { phase, left, turned, begin, letGo } = useCrankCall(spoken)
  return (
    <section aria-label="Call the crank" className="flex flex-col gap-2 border-l-4 border-copper pl-4">
      {test.from && test.to && (
        <p className="text-lead font-semibold">
          {test.from} to {test.to}
        </p>
      )}
      <p aria-live="assertive" className="font-label text-display leading-tight font-bold">
        {under ? 'Nobody cranks' : BIG[phase](left, turned)}
      </p>
      <p className="text-quiet">A click or a stall: let go at {LET_GO_AT} s.</p>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        {phase === 'still' || phase === 'resting' ? (
          <Button look="main" disabled={!ready || under || phase === 'resting'} onClick={begin}>
            Count down to the crank
          </Button>
        ) : (
          <Button look="main" onClick={letGo}>
            {phase === 'cranking' ? 'Let go' : 'Stop'}
          </Button>
        )}
        <Tick label="Spoken" on={spoken} onTick={setSpoken} />
        <Tick
          label="Somebody is under the machine"
          on={under}
          onTick={(on) => {
            setUnder(on)
            if (on) letGo()
          }}
        />
      </div>
    </section>
  )
}
