import { useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { bench, sayUnderMachine } from '../../shared/api/jobs'
import type { JobBench, TestCard } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { useBenchWrite } from './useBenchWrite'
import { LET_GO_AT, useCrankCall, type Phase } from './useCrankCall'

const BIG: Record<Phase, (left: number, turned: number) => string> = {
  still: () => 'Ready',
  counting: (left) => String(left),
  cranking: (_, turned) => `Crank, ${turned} s`,
  resting: (left) => `Let go. Rest ${left} s`,
}

const NOTHING = {}

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

/** How often another device is asked whether somebody crawled under meanwhile. */
const OTHERS_MILLISECONDS = 3_000

/** Somebody under the machine, said here or on any other device; here it holds at once, with or without a network. */
function useUnderMachine(job: JobBench) {
  const { data: known = job } = useQuery({ ...bench(job.id), refetchInterval: OTHERS_MILLISECONDS })
  const [here, setHere] = useState<boolean | null>(null)
  const say = useBenchWrite(job.id, {
    name: 'under-machine',
    empty: NOTHING,
    onSaved: () => {
      setHere(null)
    },
  })
  return {
    under: here ?? known.under_machine !== null,
    person: known.under_machine?.person,
    error: say.error,
    tell: (somebody: boolean) => {
      setHere(somebody)
      void say.write(() => sayUnderMachine(job, somebody))
    },
  }
}

/** For one at the meter and one at the key: both points, a count to be seen or heard from the cab; never with somebody under the machine, nor before what can hurt was said yes to. */
export function CrankCall({ job, test, ready }: { job: JobBench; test: TestCard; ready: boolean }) {
  const { under, person, error, tell } = useUnderMachine(job)
  const [spoken, setSpoken] = useState(false)
  const { phase, left, turned, begin, letGo } = useCrankCall(spoken)
  useEffect(() => {
    if (under && (phase === 'counting' || phase === 'cranking')) letGo()
  }, [under, phase, letGo])
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
      <p className="text-quiet">
        {under && person
          ? `${person} said so. Only when whoever is under it has answered.`
          : `A click or a stall: let go at ${LET_GO_AT} s.`}
      </p>
      <ErrorNote error={error} />
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
        <Tick label="Somebody is under the machine" on={under} onTick={tell} />
      </div>
    </section>
  )
}
