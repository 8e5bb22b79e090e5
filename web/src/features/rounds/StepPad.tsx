import { useState } from 'react'
import { readOnRound, type Round, type RoundStep } from '../../shared/api/rounds'
import { CrankCount, CrankTick } from '../../shared/pad/CrankCount'
import { EMPTY_DRAFT, entryFrom, togetherFrom, type PadDraft } from '../../shared/pad/pad'
import { HowTaken } from '../../shared/pad/HowTaken'
import { PadFields } from '../../shared/pad/PadFields'
import { SeenCautions } from '../../shared/pad/SeenCautions'
import { Button } from '../../shared/ui/Button'
import { ThrowAway } from '../../shared/writes/ThrowAway'
import { useWrite } from '../../shared/writes/useWrite'

interface Props {
  data: Round
  step: RoundStep
  /** Cautions said yes to on this round already. */
  seen: string[]
  onSeen: (ids: string[]) => void
  onKept: () => void
  onSkip: () => void
}

/** What was read once and stays so for a while. What somebody has to say yes to is never said for them. */
const CARRIED = 'battery_temperature_celsius'
/** By then it is another one. */
const WARMED = 'charging_hot'

const keyOf = (data: Round) => `wattomneum:round:${data.unit.id}:${data.day}`

function carried(data: Round): Record<string, string> {
  const said = data.steps.flatMap((step) => step.readings).flatMap((reading) => Object.entries(reading.conditions))
  return Object.fromEntries(said.filter(([key]) => key === CARRIED).map(([key, value]) => [key, String(value)]))
}

/** One step: how it is taken, its value, what is read in the same act. */
export function StepPad({ data, step, seen, onSeen, onKept, onSkip }: Props) {
  const { test, position, together } = step
  const asked = new Set(test.conditions.map((condition) => condition.key))
  const [empty] = useState<PadDraft>(() => ({
    ...EMPTY_DRAFT,
    said:
      test.key === WARMED ? {} : Object.fromEntries(Object.entries(carried(data)).filter(([key]) => asked.has(key))),
  }))
  const pad = useWrite<PadDraft, Round>({
    name: `${keyOf(data)}:${test.key}:${position ?? ''}`,
    empty,
    onSaved: onKept,
    onWaiting: onKept,
  })
  const [under, setUnder] = useState(false)
  const acknowledge = test.cautions.filter((caution) => caution.acknowledge)
  const unseen = acknowledge.filter((caution) => !seen.includes(caution.id))
  const [ticked, setTicked] = useState(false)
  const ready = unseen.length === 0 || ticked
  const save = (draft: PadDraft) =>
    pad.write((id) => {
      const others = togetherFrom(draft, together)
      const input = {
        ...entryFrom(draft, test, id),
        test_key: test.key,
        position,
        acknowledged: acknowledge.map((caution) => caution.id),
      }
      return readOnRound(data, others.length > 0 ? { ...input, together: others } : input, test.short)
    }, draft)
  return (
    <form
      aria-label={`Reading: ${test.label}`}
      className="flex flex-col gap-5 border-2 border-copper p-4 desk:p-6"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        onSeen(acknowledge.map((caution) => caution.id))
        void save(pad.value)
      }}
    >
      <HowTaken test={test} position={position} />
      <SeenCautions cautions={unseen} seen={ticked} onSeen={setTicked} />
      {test.state === 'cranking' && (
        <CrankCount
          test={test}
          beside={together}
          ready={ready}
          under={under}
          tick={<CrankTick label="Somebody is under the machine" on={under} onTick={setUnder} />}
        />
      )}
      <PadFields
        test={test}
        beside={together}
        draft={pad.value}
        error={pad.error}
        onDraft={pad.change}
        onAnswered={(next) => {
          pad.change(next)
          void save(next)
        }}
      />
      <div className="flex gap-3">
        <Button type="submit" look="main" className="flex-1" disabled={pad.isPending || !ready}>
          {pad.isPending ? 'Saving …' : 'Keep it, next one'}
        </Button>
        <Button onClick={onSkip}>Skip</Button>
      </div>
      <ThrowAway isDrafted={pad.isDrafted} onThrowAway={pad.clear} />
    </form>
  )
}
