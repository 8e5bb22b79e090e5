import { useEffect, useRef, useState } from 'react'
import type { JobBench, ProbeCard, Question, TestCard } from '../../shared/api/types'
import { AskedBack } from '../../shared/ui/AskedBack'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { ThrowAway } from '../../shared/writes/ThrowAway'
import { Conditions } from './Conditions'
import { CrankCall } from './CrankCall'
import { expectedWords, withTogether, type PadDraft, type PadTarget } from './pad'
import { SameCrank } from './SameCrank'
import { TakenWith } from './TakenWith'
import { usePadSave } from './usePadSave'
import { ValueEntry } from './ValueEntry'

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

function How({ test, target }: { test: TestCard; target: PadTarget }) {
  const { position, probe } = target
  return (
    <div>
      <h3 className="text-lead">
        {test.label}
        {position && `, battery ${position}`}
      </h3>
      <p>
        {test.from && test.to && (
          <strong className="font-semibold">
            {test.from} to {test.to}.{' '}
          </strong>
        )}
        {test.how}
        {probe && expectedWords(probe) && `${expectedWords(probe) ?? ''}.`}
      </p>
    </div>
  )
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

/** The digits for gloves write where one was last. */
function digitsOf(key: string, draft: PadDraft, keep: (next: PadDraft) => void) {
  if (key === '') return undefined
  return {
    text: draft.together[key]?.text ?? '',
    onText: (text: string) => {
      keep(withTogether(draft, key, { text }))
    },
  }
}

/** An odd value confirmed, or taken as it was meant: of the reading that was asked about. */
function answered(draft: PadDraft, question: Question | undefined, value: number | null): PadDraft {
  if (question?.test_key) {
    const meant = value === null ? { confirmed: true } : { text: String(value), unit: question.base_unit }
    return withTogether(draft, question.test_key, meant)
  }
  return value === null
    ? { ...draft, said: { ...draft.said, value_confirmed: 'yes' } }
    : { ...draft, text: String(value), unit: question?.base_unit ?? draft.unit }
}

/** The pad: how to take it, the value, its conditions. What is typed is kept until it is saved. */
export function ReadingPad({ job, test, target, onSaved, onClose }: Props) {
  const pad = usePadSave(job, test, target, onSaved, onClose)
  const { value: draft, change: keep, save, error, isPending, beside } = pad
  const [writing, setWriting] = useState('')
  const form = useRef<HTMLFormElement>(null)
  useEffect(() => {
    form.current?.scrollIntoView({ block: 'nearest' })
  }, [])
  const unseen = unseenCautions(job, test, target)
  const [seen, setSeen] = useState(false)
  const question = error?.question
  const answer = (value: number | null) => {
    const next = answered(draft, question, value)
    keep(next)
    void save(next)
  }
  const fieldError = question ? undefined : error?.fields.value_text?.[0]

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
      <How test={test} target={target} />
      {target.undone && (
        <p className="border-l-4 border-watch pl-4 font-semibold">
          With the repair undone: the fault is back in. Read it, mend it again, and take the proving reading once more.
        </p>
      )}
      {unseen.length > 0 && (
        <div className="flex flex-col gap-2 border-l-4 border-act pl-4">
          {unseen.map((caution) => (
            <p key={caution.id}>{caution.text}</p>
          ))}
          <label className="flex min-h-12 items-center gap-3 font-bold">
            <input
              type="checkbox"
              checked={seen}
              onChange={(event) => {
                setSeen(event.target.checked)
              }}
            />
            Seen and done
          </label>
        </div>
      )}
      {test.state === 'cranking' && (
        <CrankCall job={job} test={test} beside={beside} ready={unseen.length === 0 || seen} />
      )}
      <ValueEntry
        test={test}
        draft={draft}
        error={fieldError}
        onDraft={keep}
        onWriting={() => {
          setWriting('')
        }}
        digits={digitsOf(writing, draft, keep)}
        beside={
          <SameCrank
            tests={beside}
            draft={draft}
            errors={question ? {} : (error?.fields ?? {})}
            onWriting={setWriting}
            onDraft={keep}
          />
        }
      />
      {target.probe ? <AtPoints probe={target.probe} /> : <TakenWith test={test} draft={draft} onDraft={keep} />}
      <Conditions
        conditions={test.conditions}
        said={draft.said}
        onSaid={(said) => {
          keep({ ...draft, said })
        }}
      />
      {target.correcting && (
        <Field label="Why the first one was wrong" error={error?.fields.reason?.[0]}>
          {(wiring) => (
            <input
              {...wiring}
              value={draft.reason}
              onChange={(event) => {
                keep({ ...draft, reason: event.target.value })
              }}
            />
          )}
        </Field>
      )}
      {question ? <AskedBack question={question} onAnswer={answer} /> : !fieldError && <ErrorNote error={error} />}
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
