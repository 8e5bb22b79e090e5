import { useRef, useEffect } from 'react'
import type { JobBench, ProbeCard, Step, TestCard } from '../../shared/api/types'
import { glued } from '../../shared/quantities/glued'
import { Button } from '../../shared/ui/Button'
import { expectedWords } from '../../shared/pad/pad'
import { usePendingOn } from '../../shared/unsent/Pending'
import type { Queued } from '../../shared/unsent/queue'

const DO: Record<Step['kind'], string> = {
  measure: 'Take the reading',
  charge: 'Charged and rested: read it again',
  condemn: 'Condemn it and record the repair',
  repair: 'Record the repair',
  prove: 'Take the proving reading',
  repeat: 'Read it again',
  put_back: 'See what is still off',
  close: 'Close the job',
  watch: 'Park it with what is known',
}

/** By which the pad and whoever drives it know the two points. */
const probeWords = ({ by, from, to, situation, opened }: ProbeCard) =>
  JSON.stringify({ by, from: from.node, to: to.node, situation, opened })

/** Whether what waits is the very reading that this step asks for. */
function isRead({ wish }: Queued, { probe, test_key, position }: Step): boolean {
  if (!wish.path.endsWith('/readings')) return false
  const read = wish.body as { test_key?: string; position?: string | null; probe?: unknown }
  if (probe) return JSON.stringify(read.probe) === probeWords(probe)
  return read.test_key === test_key && (read.position ?? null) === (position ?? null)
}

/** What is not sent yet, and how to go on without the server's word. */
function Meanwhile({ pending, read, answers }: { pending: Queued[]; read: boolean; answers: boolean }) {
  const [entries, them] = pending.length === 1 ? ['One entry is', 'it'] : [`${pending.length} entries are`, 'them']
  return (
    <p className="pt-3 font-semibold">
      {read
        ? `You read this; it is not sent yet.${answers ? ' Go by the answers above meanwhile.' : ''}`
        : `${entries} not sent yet, and this step does not know of ${them}.`}{' '}
      Go on below with what you have not read: all of it is judged together once the network is back.
    </p>
  )
}

const sentence = (words: string) => (/[.?!]$/.test(words) ? words : `${words}.`)

/** Both points with where they are, and what a sound circuit shows between them. */
function Points({ probe }: { probe: ProbeCard }) {
  const expected = expectedWords(probe)
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 pt-3">
      {(probe.red_on === 'from' ? (['from', 'to'] as const) : (['to', 'from'] as const)).map((end) => (
        <div key={end} className="contents">
          <dt className="font-label font-bold">{end === probe.red_on ? 'Red on' : 'Black on'}</dt>
          <dd>
            {probe[end].label}
            {probe[end].zone && ` (${probe[end].zone})`}
          </dd>
        </div>
      ))}
      {expected && (
        <>
          <dt className="font-label font-bold">Sound</dt>
          <dd>{expected}</dd>
        </>
      )}
    </dl>
  )
}

/** The one filled surface: the next thing to do, its minutes, its caution, and what each answer would mean. */
export function NextCard({
  job,
  test,
  mayWork,
  padOpen,
  attention,
  onDo,
}: {
  job: JobBench
  test: TestCard | undefined
  mayWork: boolean
  padOpen: boolean
  attention: number
  onDo: () => void
}) {
  const step = job.next_step
  const pending = usePendingOn(job.id).filter(({ state }) => state === 'waiting')
  const read = pending.some((entry) => isRead(entry, step))
  const what = read ? DO.repeat : DO[step.kind]
  const button = useRef<HTMLButtonElement>(null)
  // After a save the keyboard goes on with the next step.
  useEffect(() => {
    if (attention > 0) button.current?.focus()
  }, [attention])
  const mustSee = step.cautions.some((caution) => caution.acknowledge)
  const measures = ['measure', 'prove', 'repeat'].includes(step.kind)
  const meanings = measures ? [...step.outcomes, ...(test?.answers ?? [])] : []
  return (
    <section
      aria-labelledby="next"
      className="bg-copper p-5 text-on-copper"
      data-step={step.kind}
      data-test={step.test_key ?? ''}
      data-position={step.position ?? ''}
      data-element={step.element ?? ''}
      data-unit={step.unit ?? ''}
      data-probe={step.probe ? probeWords(step.probe) : ''}
    >
      <h2 id="next" className="text-reading leading-tight">
        {step.title}
      </h2>
      <p className="pt-1">
        {step.minutes > 0 && <span className="pr-2 font-label font-bold">{step.minutes} min</span>}
        {glued(sentence(step.why))}
      </p>
      {step.probe && <Points probe={step.probe} />}
      {step.access.map((note) => (
        <p key={note.text} className="pt-2">
          <span className="font-label font-bold">{note.place}:</span> {glued(note.text)}
        </p>
      ))}
      {step.cautions.map((caution) => (
        <p key={caution.id} className="pt-2 font-semibold">
          {caution.text}
        </p>
      ))}
      {meanings.length > 0 && (
        <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 pt-3">
          {meanings.map((answer) => (
            <div key={answer.when} className="contents">
              <dt className="font-label font-bold">{glued(answer.when)}</dt>
              <dd>{glued(answer.means)}</dd>
            </div>
          ))}
        </dl>
      )}
      {pending.length > 0 && <Meanwhile pending={pending} read={read} answers={meanings.length > 0} />}
      {mayWork && !padOpen && (
        <Button ref={button} look="filled" className="mt-4 w-full desk:w-auto" onClick={onDo}>
          {measures && mustSee ? `Seen and done. ${what}` : what}
        </Button>
      )}
    </section>
  )
}
