import { useEffect, useState, type ReactNode } from 'react'
import type { TestCard } from '../api/types'
import { Button } from '../ui/Button'
import { LET_GO_AT, useCrankCall, type Phase } from './useCrankCall'

const BIG: Record<Phase, (left: number, turned: number) => string> = {
  still: () => 'Ready',
  counting: (left) => String(left),
  cranking: (_, turned) => `Crank, ${turned} s`,
  resting: (left) => `Let go. Rest ${left} s`,
}

export function CrankTick({
  label,
  on,
  busy = false,
  onTick,
}: {
  label: string
  on: boolean
  busy?: boolean
  onTick: (on: boolean) => void
}) {
  return (
    <label className="flex min-h-12 items-center gap-3 font-bold">
      <input
        type="checkbox"
        checked={on}
        disabled={busy}
        onChange={(event) => {
          onTick(event.target.checked)
        }}
      />
      {label}
    </label>
  )
}

interface Props {
  test: TestCard
  beside: TestCard[]
  /** What can hurt was said yes to. */
  ready: boolean
  /** Somebody is under the machine. */
  under: boolean
  /** Who is, and what went wrong in asking. */
  who?: ReactNode
  /** Where it is said that somebody is. */
  tick: ReactNode
}

/** For one at the meter and one at the key: both points, a count to be seen or heard from the cab; never with somebody under the machine. */
export function CrankCount({ test, beside, ready, under, who, tick }: Props) {
  const [spoken, setSpoken] = useState(false)
  const { phase, left, turned, begin, letGo } = useCrankCall(spoken)
  useEffect(() => {
    if (under && (phase === 'counting' || phase === 'cranking')) letGo()
  }, [under, phase, letGo])
  return (
    <section aria-label="Call the crank" className="flex flex-col gap-2 border-l-4 border-copper pl-4">
      {[test, ...beside].map(
        ({ key, from, to }, index) =>
          from &&
          to && (
            <p key={key} className={index === 0 ? 'text-lead font-semibold' : 'text-quiet'}>
              {index > 0 && 'then '}
              {from} to {to}
            </p>
          ),
      )}
      <p aria-live="assertive" className="font-label text-display leading-tight font-bold">
        {under ? 'Nobody cranks' : BIG[phase](left, turned)}
      </p>
      <p className="text-quiet">A click or a stall: let go at {LET_GO_AT} s.</p>
      {who}
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
        <CrankTick label="Spoken" on={spoken} onTick={setSpoken} />
        {tick}
      </div>
    </section>
  )
}
