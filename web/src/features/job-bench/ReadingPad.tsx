import { useEffect, useRef, useState } from 'react'
import type { JobBench, ProbeCard, TestCard } from '../../shared/api/types'
import { HowTaken } from '../../shared/pad/HowTaken'
import { expectedWords, type PadTarget } from '../../shared/pad/pad'
import { PadFields } from '../../shared/pad/PadFields'
import { SeenCautions } from '../../shared/pad/SeenCautions'
import { Button } from '../../shared/ui/Button'
import { ThrowAway } from '../../shared/writes/ThrowAway'
import { CrankCall } from './CrankCall'
import { usePadSave } from './usePadSave'
import { TextField } from '../../shared/ui/TextField'

interface Props {
  job: JobBench
  test: TestCard
  target: PadTarget
  onSaved: (job: JobBench) => void
  onClose: () => void
}

/** Cautions that must be said yes to, once a job. */
function unseenCautions(job: JobBench, test: TestCard, target: PadTarget) {
  const seen = new Set(job.readings.flatMap((reading) => reading.acknowledged))
  return target.acknowledged ? [] : test.cautions.filter((caution) => caution.acknowledge && !seen.has(caution.id))
}

/** State and instrument of a reading between two points: chosen with the points. */
function AtPoints({ probe }: { probe: ProbeCard }) {
  const off = probe.opened.length > 0 ? `, ${probe.opened.join(' and ')} unplugged` : ''
  return (
    <p>
      <span className="font-bold">Taken</span> {probe.situation_label}
      {off}, {probe.instrument}
    </p>
  )
}

/** The pad: how to take it, the value, its conditions. What is typed is kept until it is saved. */
export function ReadingPad({ job, test, target, onSaved, onClose }: Props) {
  const pad = usePadSave(job, test, target, onSaved, onClose)
  const { value: draft, change: keep, save, error, isPending, beside } = pad
  const form = useRef<HTMLFormElement>(null)
  useEffect(() => {
    form.current?.scrollIntoView({ block: 'nearest' })
  }, [])
  const unseen = unseenCautions(job, test, target)
  const [seen, setSeen] = useState(false)
  return (
    <form
      ref={form}
      aria-label={`Reading: ${test.label}`}
      className="flex flex-col gap-5 border-x-2 border-b-2 border-copper p-4 desk:p-6"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void save(draft)
      }}
    >
      <HowTaken test={test} position={target.position}>
        {target.probe && expectedWords(target.probe) && `${expectedWords(target.probe) ?? ''}.`}
      </HowTaken>
      {target.undone && (
        <p className="border-l-4 border-watch pl-4 font-semibold">
          With the repair undone: the fault is back in. Read it, mend it again, and take the proving reading once more.
        </p>
      )}
      <SeenCautions cautions={unseen} seen={seen} onSeen={setSeen} />
      {test.state === 'cranking' && (
        <CrankCall job={job} test={test} beside={beside} ready={unseen.length === 0 || seen} />
      )}
      <PadFields
        test={test}
        beside={beside}
        draft={draft}
        error={error}
        onDraft={keep}
        onAnswered={(next) => {
          keep(next)
          void save(next)
        }}
        taken={target.probe && <AtPoints probe={target.probe} />}
      >
        {target.correcting && (
          <TextField
            label="Why the first one was wrong"
            error={error?.fields.reason?.[0]}
            value={draft.reason}
            onText={(text) => {
              keep({ ...draft, reason: text })
            }}
          />
        )}
      </PadFields>
      <div className="flex gap-3">
        <Button type="submit" look="main" className="flex-1" disabled={isPending || (unseen.length > 0 && !seen)}>
          {isPending ? 'Saving …' : target.correcting ? 'Save the correction' : 'Save the reading'}
        </Button>
        <Button look="quiet" onClick={onClose}>
          Leave it
        </Button>
      </div>
      <ThrowAway isDrafted={pad.isDrafted} onThrowAway={pad.clear} />
    </form>
  )
}
