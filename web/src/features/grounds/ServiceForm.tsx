import { serveGround, type Ground, type Grounds } from '../../shared/api/grounds'
import { numberFrom } from '../../shared/quantities/numberFrom'
import { AskedBack } from '../../shared/ui/AskedBack'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { useWrite } from '../../shared/writes/useWrite'
import { TextField } from '../../shared/ui/TextField'

type Side = 'before' | 'after'

interface Typed {
  before: string
  after: string
  ampere: string
  done: string[]
  /** Sides whose odd figure was what the meter showed. */
  confirmed: Side[]
}

interface Props {
  data: Grounds
  ground: Ground
  /** Amperes of the ground before: on a round the same load stays on. */
  ampere: string
  onKept: (ampere: string) => void
  onSkip: () => void
}

/** One ground: its drop before, what was done, its drop after at the same two points. */
export function ServiceForm({ data, ground, ampere, onKept, onSkip }: Props) {
  const empty: Typed = { before: '', after: '', ampere, done: [], confirmed: [] }
  const serving = useWrite<Typed, Grounds>({
    name: `ground:${data.unit.id}:${ground.uuid}`,
    empty,
    onSaved: () => {
      onKept(serving.value.ampere)
    },
    onWaiting: () => {
      onKept(serving.value.ampere)
    },
  })
  const { value } = serving
  const question = serving.error?.question
  /** What is not read is not sent; what was asked about is confirmed. */
  const drop = (typed: Typed, name: Side) =>
    typed[name].trim() === ''
      ? {}
      : {
          [name]: {
            text: typed[name],
            ampere: numberFrom(typed.ampere) as number,
            confirmed: typed.confirmed.includes(name),
          },
        }
  const send = (typed: Typed) =>
    void serving.write(
      (id) =>
        serveGround(data.unit, ground, { id, ...drop(typed, 'before'), ...drop(typed, 'after'), done: typed.done }),
      typed,
    )
  const answer = (meant: number | null) => {
    const side: Side = question?.test_key === 'after' ? 'after' : 'before'
    const next =
      meant === null
        ? { ...value, confirmed: [...value.confirmed, side] }
        : { ...value, [side]: `${meant} ${question?.base_unit ?? ''}` }
    serving.change(next)
    send(next)
  }
  const fields = serving.error?.fields ?? {}
  const figure = (name: Side, label: string) => (
    <TextField
      label={label}
      error={(question ? undefined : fields[`${name}.text`]?.[0]) ?? fields[name]?.[0]}
      className="text-reading"
      inputMode="decimal"
      value={value[name]}
      onText={(text) => {
        serving.change({
          ...value,
          [name]: text,
          confirmed: value.confirmed.filter((side) => side !== name),
        })
      }}
    />
  )
  return (
    <form
      aria-label={ground.label}
      className="flex flex-col gap-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        send(value)
      }}
    >
      <div className="grid grid-cols-2 gap-4">
        {figure('before', 'Before, mV')}
        <TextField
          label="Current, A"
          error={fields['before.ampere']?.[0] ?? fields['after.ampere']?.[0]}
          className="text-reading"
          inputMode="decimal"
          value={value.ampere}
          onText={(text) => {
            serving.change({ ...value, ampere: text })
          }}
        />
      </div>
      <fieldset>
        <legend className="font-bold">Done to it</legend>
        <div className="grid desk:grid-cols-2">
          {data.done_words.map(({ key, label }) => (
            <label key={key} className="flex min-h-12 items-center gap-3">
              <input
                type="checkbox"
                checked={value.done.includes(key)}
                onChange={(event) => {
                  const done = event.target.checked ? [...value.done, key] : value.done.filter((one) => one !== key)
                  serving.change({ ...value, done })
                }}
              />
              <span>
                {key}
                <span className="block text-quiet">{label}</span>
              </span>
            </label>
          ))}
        </div>
      </fieldset>
      {figure('after', 'After, mV, at the same two points')}
      {question ? <AskedBack question={question} onAnswer={answer} /> : <ErrorNote error={serving.error} />}
      <div className="flex flex-wrap gap-3">
        <Button type="submit" look="main" className="flex-1" disabled={serving.isPending}>
          Keep it, next one
        </Button>
        <Button onClick={onSkip}>Skip</Button>
      </div>
    </form>
  )
}
