import { Button } from '../../../shared/ui/Button'
import type { CircuitPath } from '../../../shared/api/circuits'
import { spokenPin } from '../../../shared/drawing/names'
import { spokenAmpere, spokenVolt } from '../spoken'

type Step = CircuitPath['steps'][number]

/** The stroke beside a step: whole, or with the gap where nothing conducts now. */
function Stroke({ step, side }: { step: Step; side: 'feed' | 'back' }) {
  const colour = side === 'feed' ? 'stroke-copper' : 'stroke-graphite'
  return (
    <span className="relative">
      <svg viewBox="0 0 24 44" preserveAspectRatio="none" className="absolute inset-0 size-full" aria-hidden="true">
        <g className={colour} strokeWidth="3" fill="none">
          {step.open ? <path d="M12 0V12M12 32V44" /> : <path d="M12 0V44" />}
          {step.load && !step.open && <rect x="7" y="14" width="10" height="16" className="fill-ground" />}
        </g>
      </svg>
    </span>
  )
}

function End({ name, side }: { name: string; side: 'feed' | 'back' }) {
  return (
    <li className="grid grid-cols-[1.5rem_1fr] items-center gap-x-3">
      <svg viewBox="0 0 24 24" className="size-6" aria-hidden="true">
        <circle
          cx="12"
          cy="12"
          r="6"
          className={`fill-ground ${side === 'feed' ? 'stroke-copper' : 'stroke-graphite'}`}
          strokeWidth="3"
        />
      </svg>
      <span className="font-label font-bold">{name}</span>
    </li>
  )
}

/** The way from a pin to its supply or to ground, as a conductor drawn downwards, with a gap where it is interrupted. */
export function PathLine({
  path,
  from,
  side,
  onPick,
}: {
  path: CircuitPath
  from: string
  side: 'feed' | 'back'
  onPick: (pin: string) => void
}) {
  if (path.ends_at === null) return <p className="py-2">Nothing leads there, in any key state.</p>
  const carried = path.steps.some((step) => Math.abs(step.ampere) > 0.0005)
  return (
    <ol className="pt-1">
      <End name={from} side={side} />
      {path.steps.map((step) => (
        <li key={`${step.from}-${step.to}-${step.label}`} className="grid grid-cols-[1.5rem_1fr] items-stretch gap-x-3">
          <Stroke step={step} side={side} />
          <div className="flex items-center justify-between gap-3 py-1 desk:py-0">
            <span className={step.open ? 'font-semibold text-act' : ''}>
              {step.label}
              {step.open && <span className="block font-normal">open: {step.why}</span>}
            </span>
            <span className="flex flex-none items-baseline gap-3">
              {carried && !step.open && step.drop_volt !== null && Math.abs(step.drop_volt) >= 0.001 && (
                <span className="text-quiet">
                  {spokenVolt(Math.abs(step.drop_volt))}
                  <span className="sr-only"> lost at {spokenAmpere(step.ampere)}</span>
                </span>
              )}
              {!step.to.includes('inside') && (
                <Button
                  look="inline"
                  onClick={() => {
                    onPick(step.to)
                  }}
                >
                  {spokenPin(step.to)}
                </Button>
              )}
            </span>
          </div>
        </li>
      ))}
      <End name={spokenPin(path.ends_at)} side={side} />
    </ol>
  )
}
