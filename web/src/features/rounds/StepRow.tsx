import type { RoundStep } from '../../shared/api/rounds'
import { VerdictMark } from '../../shared/ui/VerdictMark'

interface Props {
  step: RoundStep
  here: boolean
  onGo: () => void
}

/** A step of a round: what is read, what it came to. */
export function StepRow({ step, here, onGo }: Props) {
  const [first] = step.readings
  return (
    <li className={`rule-below ${here ? 'bg-hair/40' : ''}`}>
      <button
        type="button"
        aria-current={here ? 'step' : undefined}
        className="grid min-h-12 w-full grid-cols-[1.5rem_minmax(0,1fr)_auto] items-baseline gap-x-3 py-2 text-left font-figure"
        onClick={onGo}
      >
        <VerdictMark verdict={first?.judged?.verdict ?? 'unproven'} word={false} />
        <span>
          <span className="font-label text-lead font-bold">
            {step.position && `${step.position} `}
            {step.test.short}
          </span>
          <span className="block text-quiet">
            {first?.judged
              ? `${first.judged.summary}${first.sisters?.far ? '; apart from its sister units' : ''}`
              : `${step.test.state_label}, ${step.test.instrument}`}
          </span>
        </span>
        <span className="text-right">
          {step.readings.map((reading) => (
            <span key={reading.id} className="block text-reading font-semibold whitespace-nowrap">
              {reading.spoken}
            </span>
          ))}
        </span>
      </button>
    </li>
  )
}
