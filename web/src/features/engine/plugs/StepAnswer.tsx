import type { Engine, NewEntry, PlugSearch } from '../../../shared/api/engines'
import { numberFrom } from '../../../shared/quantities/numberFrom'
import { Button } from '../../../shared/ui/Button'
import { ErrorNote } from '../../../shared/ui/ErrorNote'
import { useTell } from '../useTell'
import { RunForm } from './RunForm'

interface Props {
  engine: Engine
  plugs: PlugSearch
}

const about = ({ plugs: { next_step: step } }: Props): NewEntry => ({
  craft: 'plugs',
  kind: step.kind,
  ...(step.cylinder === null ? {} : { cylinder: step.cylinder }),
})

const NOTHING = {}

/** How the plug looks, a button for each. */
function Looks(props: Props) {
  const { tell, error, isPending } = useTell(props.engine, 'step-plug', NOTHING)
  return (
    <>
      {props.engine.words.states.map((state) => (
        <Button
          key={state.key}
          look="filled"
          disabled={isPending}
          onClick={() => {
            void tell({ ...about(props), state: state.key }, `plug ${state.label}`)
          }}
        >
          {state.label}
        </Button>
      ))}
      <ErrorNote error={error} />
    </>
  )
}

/** What the meter shows, and how long the lead is. */
function Figure(props: Props) {
  const { figure } = props.plugs.next_step
  const kind = props.engine.words.figures.find((one) => one.key === figure)
  const { value, change, tell, error, isPending } = useTell(props.engine, 'step-figure', { value: '', length: '' })
  if (!kind) return null
  const length = numberFrom(value.length)
  const field = (label: string, key: 'value' | 'length', wrong: string | undefined) => (
    <label className="min-w-32 flex-1 font-bold">
      {label}
      <input
        className="w-full bg-ground font-normal text-ink"
        value={value[key]}
        aria-invalid={wrong ? true : undefined}
        onChange={(event) => {
          change({ ...value, [key]: event.target.value })
        }}
      />
      {wrong && <span className="block font-semibold">{wrong}</span>}
    </label>
  )
  return (
    <form
      className="flex w-full flex-wrap items-end gap-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void tell(
          {
            ...about(props),
            figure: kind.key,
            value: value.value,
            ...(length === null ? {} : { length_m: length as number }),
          },
          kind.label,
        )
      }}
    >
      {field(`Shown, ${kind.unit === 'ohm' ? 'Ω, k or M' : kind.unit}`, 'value', error?.fields.value?.[0])}
      {kind.per_m && field('Length, m', 'length', error?.fields.length_m?.[0])}
      <Button type="submit" look="filled" disabled={isPending || value.value.trim() === ''}>
        Keep it
      </Button>
      <ErrorNote error={error} />
    </form>
  )
}

/** That it was changed, and whether the part came from stock. */
function Changed(props: Props) {
  const step = props.plugs.next_step
  const { tell, error, isPending } = useTell(props.engine, 'step-change', NOTHING)
  const say = (fresh: boolean) => {
    void tell({ ...about(props), part: step.part ?? 'other', ...(fresh ? { new_part: true } : {}) }, 'changed')
  }
  return (
    <>
      <Button look="filled" disabled={isPending} onClick={() => { say(false) }}>Done</Button>
      {step.part !== 'plug_dried' && <Button look="filled" disabled={isPending} onClick={() => { say(true) }}>Done, with a part from stock</Button>}
      <ErrorNote error={error} />
    </>
  ) // prettier-ignore
}

function Shelved(props: Props) {
  const { change } = props.plugs.next_step
  const { tell, error, isPending } = useTell(props.engine, 'step-shelf', NOTHING)
  return (
    <>
      <Button
        look="filled"
        disabled={isPending || change === null}
        onClick={() => {
          if (change !== null) void tell({ craft: 'plugs', kind: 'shelf', change }, 'part back to the shelf')
        }}
      >
        Back on the shelf
      </Button>
      <ErrorNote error={error} />
    </>
  )
}

/** What may be answered to the step that comes next. */
export function StepAnswer(props: Props) {
  switch (props.plugs.next_step.kind) {
    case 'run':
      return <RunForm look="filled" {...props} />
    case 'plug':
      return <Looks {...props} />
    case 'figure':
      return <Figure {...props} />
    case 'change':
      return <Changed {...props} />
    case 'shelf':
      return <Shelved {...props} />
    case 'done':
      return null
  }
}
