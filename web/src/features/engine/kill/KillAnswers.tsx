import { useState } from 'react'
import type { Engine, KillSearch, NewEntry } from '../../../shared/api/engines'
import { proveStop } from '../../../shared/api/stops'
import { Button } from '../../../shared/ui/Button'
import { ErrorNote } from '../../../shared/ui/ErrorNote'
import { useWrite } from '../../../shared/writes/useWrite'
import { useTell } from '../useTell'

const UNSAID = { text: '' }
const NOTHING = {}

interface Props {
  engine: Engine
  kill: KillSearch
}

/** With the cautions that stood over the answer. */
const about = ({ kill }: Props, kind: string): NewEntry => ({
  craft: 'kill',
  kind,
  acknowledged: kill.next_step.cautions.filter((caution) => caution.acknowledge).map((caution) => caution.id),
  sheet: kill.sheet,
  device: kill.device,
})

/** Spark or none. */
function Spark(props: Props) {
  const step = props.kill.next_step
  const { tell, error, isPending } = useTell(
    props.engine,
    `spark:${step.kind}:${step.branch ?? step.stage ?? ''}`,
    NOTHING,
  )
  const say = (spark: boolean) => {
    void tell(
      {
        ...about(props, step.kind),
        spark,
        ...(step.branch === null ? {} : { branch: step.branch }),
        ...(step.stage === null ? {} : { stage: step.stage }),
      },
      spark ? 'spark' : 'no spark',
    )
  }
  return (
    <>
      <Button look="filled" disabled={isPending} onClick={() => { say(true) }}>Spark</Button>
      <Button look="filled" disabled={isPending} onClick={() => { say(false) }}>No spark</Button>
      <ErrorNote error={error} />
    </>
  ) // prettier-ignore
}

const TYPED: Partial<
  Record<KillSearch['next_step']['kind'], { label: string; button: string; field: 'ohm' | 'words' }>
> = {
  branch_ohm: { label: 'Ohms: 3.5, 12 k, 4 M or OL', button: 'Keep the ohms', field: 'ohm' },
  mended: { label: 'What was mended', button: 'It is mended', field: 'words' },
  watched: { label: 'What it may have been', button: 'Put it on watch', field: 'words' },
}

/** Ohms, what was mended, what is suspected: one line to type. */
function Typed(props: Props) {
  const step = props.kill.next_step
  const how = TYPED[step.kind]
  const { value, change, tell, error, isPending } = useTell(props.engine, `${step.kind}:${step.branch ?? ''}`, UNSAID)
  if (!how) return null
  return (
    <form
      className="flex w-full flex-wrap items-end gap-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void tell(
          {
            ...about(props, step.kind),
            [how.field]: value.text,
            ...(step.branch === null ? {} : { branch: step.branch }),
          },
          value.text,
        )
      }}
    >
      <label className="min-w-[min(12rem,100%)] flex-1 font-bold">
        {how.label}
        <input
          className="w-full bg-ground font-normal text-ink"
          value={value.text}
          onChange={(event) => {
            change({ text: event.target.value })
          }}
        />
      </label>
      <Button type="submit" look="filled" disabled={isPending || value.text.trim() === ''}>
        {how.button}
      </Button>
      <ErrorNote error={error} />
    </form>
  )
}

/** Whether the engine stopped; or why nobody tried it. */
function Prove(props: Props) {
  const { kill } = props
  const asked = kill.next_step.asked ?? ''
  const label = kill.interlocks.find((one) => one.key === asked)?.label ?? asked
  const proving = useWrite<object, unknown>({ name: `kill-proof:${kill.sheet}:${asked}`, empty: NOTHING })
  const [skipping, setSkipping] = useState(false)
  const skip = useTell(props.engine, `skip:${asked}`, UNSAID)
  const say = (outcome: 'stopped' | 'ran_on') => {
    void proving.write((id) =>
      proveStop(kill.sheet, { id, device: kill.device, asked, outcome, seconds: null }, `Stop tried: ${label}`),
    )
  }
  return (
    <>
      <Button look="filled" disabled={proving.isPending} onClick={() => { say('stopped') }}>Seen to stop</Button>
      <Button look="filled" disabled={proving.isPending} onClick={() => { say('ran_on') }}>It ran on</Button>
      {!skipping && <Button className="text-on-copper underline" look="inline" onClick={() => { setSkipping(true) }}>Cannot be tried</Button>}
      {skipping && (
        <form
          className="flex w-full flex-wrap items-end gap-3"
          noValidate
          onSubmit={(event) => {
            event.preventDefault()
            void skip.tell({ ...about(props, 'skipped'), asked, words: skip.value.text }, `not tried: ${label}`)
          }}
        >
          <label className="min-w-[min(12rem,100%)] flex-1 font-bold">
            Why it is not tried: it stays named as not proved
            <input className="w-full bg-ground font-normal text-ink" value={skip.value.text} onChange={(event) => { skip.change({ text: event.target.value }) }} />
          </label>
          <Button type="submit" look="filled" disabled={skip.isPending || skip.value.text.trim() === ''}>Leave it unproved</Button>
        </form>
      )}
      <ErrorNote error={proving.error ?? skip.error} />
    </>
  ) // prettier-ignore
}

/** What may be answered to the step that comes next. */
export function KillAnswers(props: Props) {
  const { kind } = props.kill.next_step
  if (kind === 'done') return null
  if (kind === 'prove') return <Prove key={props.kill.next_step.asked} {...props} />
  return kind in TYPED ? (
    <Typed key={`${kind}${props.kill.next_step.branch ?? ''}`} {...props} />
  ) : (
    <Spark key={`${kind}${props.kill.next_step.branch ?? ''}`} {...props} />
  )
}
