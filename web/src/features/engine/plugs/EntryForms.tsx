import type { ReactNode } from 'react'
import type { Engine, NewEntry, PlugSearch } from '../../../shared/api/engines'
import type { HttpError } from '../../../shared/api/http'
import { numberFrom } from '../../../shared/quantities/numberFrom'
import { Button } from '../../../shared/ui/Button'
import { ErrorNote } from '../../../shared/ui/ErrorNote'
import { Field } from '../../../shared/ui/Field'
import { TextField } from '../../../shared/ui/TextField'
import { Tick } from '../../../shared/ui/Tick'
import { useTell } from '../useTell'

interface Props {
  engine: Engine
  plugs: PlugSearch
}

const named = (error: HttpError | null, field: string) => error?.fields[field]?.[0]

function Choice({
  label,
  value,
  options,
  error,
  onChoose,
}: {
  label: string
  value: string
  options: { key: string; label: string }[]
  error?: string | undefined
  onChoose: (key: string) => void
}) {
  return (
    <Field label={label} error={error}>
      {(wiring) => (
        <select
          {...wiring}
          value={value}
          onChange={(event) => {
            onChoose(event.target.value)
          }}
        >
          <option value="">Choose</option>
          {options.map((option) => (
            <option key={option.key} value={option.key}>
              {option.label}
            </option>
          ))}
        </select>
      )}
    </Field>
  )
}

/** What is told in one row, and the button that keeps it. */
function EntryForm({
  button,
  ready,
  error,
  onTell,
  children,
}: {
  button: string
  ready: boolean
  error: HttpError | null
  onTell: () => void
  children: ReactNode
}) {
  return (
    <form className="grid items-end gap-3 desk:grid-cols-3" noValidate onSubmit={(event) => { event.preventDefault(); onTell() }}>
      {children}
      <Button type="submit" className="self-end justify-self-start" disabled={!ready}>{button}</Button>
      <ErrorNote error={error} />
    </form>
  ) // prettier-ignore
}

const cylinders = (plugs: PlugSearch) =>
  plugs.cylinders.map(({ cylinder }) => ({ key: String(cylinder), label: `Cylinder ${cylinder}` }))
const cylinderOf = (text: string) => (text === '' ? {} : { cylinder: Number(text) })

/** How one plug looks. */
export function PlugForm({ engine, plugs }: Props) {
  const step = plugs.next_step
  const { value, change, tell, error, isPending } = useTell(engine, 'plug', {
    cylinder: step.kind === 'plug' ? String(step.cylinder ?? '') : '',
    state: '',
  })
  return (
    <EntryForm
      button="Keep how it looks"
      ready={!isPending && !(value.cylinder === '' || value.state === '')}
      error={error}
      onTell={() => {
        void tell({ craft: 'plugs', kind: 'plug', ...cylinderOf(value.cylinder), state: value.state }, `plug of ${value.cylinder}`)
      }}
    >
      <Choice label="Plug of" value={value.cylinder} options={cylinders(plugs)} error={named(error, 'cylinder')} onChoose={(cylinder) => { change({ ...value, cylinder }) }} />
      <Choice label="Looks" value={value.state} options={engine.words.states} error={named(error, 'state')} onChoose={(state) => { change({ ...value, state }) }} />
    </EntryForm>
  ) // prettier-ignore
}

/** Ohms, a gap, microfarads. */
export function FigureForm({ engine, plugs }: Props) {
  const step = plugs.next_step
  const { value, change, tell, error, isPending } = useTell(engine, 'figure', {
    figure: step.figure ?? '',
    cylinder: step.kind === 'figure' ? String(step.cylinder ?? '') : '',
    value: '',
    length: '',
  })
  const kind = engine.words.figures.find((one) => one.key === value.figure)
  const length = numberFrom(value.length)
  return (
    <EntryForm
      button="Keep the figure"
      ready={!isPending && !(value.figure === '' || value.value.trim() === '')}
      error={error}
      onTell={() => {
        const entry: NewEntry = {
          craft: 'plugs',
          kind: 'figure',
          figure: value.figure,
          value: value.value,
          ...(kind?.cylinder ? cylinderOf(value.cylinder) : {}),
          ...(kind?.per_m && length !== null ? { length_m: length as number } : {}),
        }
        void tell(entry, kind?.label ?? 'figure')
      }}
    >
      <Choice label="Measured" value={value.figure} options={engine.words.figures} onChoose={(figure) => { change({ ...value, figure }) }} />
      {kind?.cylinder && <Choice label="On" value={value.cylinder} options={cylinders(plugs)} error={named(error, 'cylinder')} onChoose={(cylinder) => { change({ ...value, cylinder }) }} />}
      <TextField label={kind ? `Shown, ${kind.unit === 'ohm' ? 'Ω, k or M' : kind.unit}` : 'Shown'} value={value.value} error={named(error, 'value')} onText={(text) => { change({ ...value, value: text }) }} />
      {kind?.per_m && <TextField label="Length, m" inputMode="decimal" value={value.length} error={named(error, 'length_m')} onText={(text) => { change({ ...value, length: text }) }} />}
    </EntryForm>
  ) // prettier-ignore
}

/** One change. */
export function ChangeForm({ engine, plugs }: Props) {
  const step = plugs.next_step
  const { value, change, tell, error, isPending } = useTell(engine, 'change', {
    part: step.kind === 'change' ? (step.part ?? '') : '',
    cylinder: step.kind === 'change' ? String(step.cylinder ?? '') : '',
    words: '',
    fresh: false,
  })
  const part = engine.words.parts.find((one) => one.key === value.part)
  return (
    <EntryForm
      button="Keep the change"
      ready={!isPending && !(value.part === '')}
      error={error}
      onTell={() => {
        const entry: NewEntry = {
          craft: 'plugs',
          kind: 'change',
          part: value.part,
          ...(part?.cylinder ? cylinderOf(value.cylinder) : {}),
          ...(value.words.trim() === '' ? {} : { words: value.words }),
          ...(value.fresh ? { new_part: true } : {}),
        }
        void tell(entry, `changed: ${part?.label ?? ''}`)
      }}
    >
      <Choice label="Changed" value={value.part} options={engine.words.parts} onChoose={(key) => { change({ ...value, part: key }) }} />
      {part?.cylinder && <Choice label="Of" value={value.cylinder} options={cylinders(plugs)} error={named(error, 'cylinder')} onChoose={(cylinder) => { change({ ...value, cylinder }) }} />}
      <TextField label="What it was, if it says more" value={value.words} error={named(error, 'words')} onText={(words) => { change({ ...value, words }) }} />
      <Tick label="Part from stock" on={value.fresh} onTick={(fresh) => { change({ ...value, fresh }) }} />
    </EntryForm>
  ) // prettier-ignore
}

const UNSAID = { words: '' }
const NOTHING = {}

/** Which way round the coil is, and the heat range that was chosen. */
export function CoilAndHeat({ engine, plugs }: Props) {
  const coil = useTell(engine, 'polarity', NOTHING)
  const heat = useTell(engine, 'heat', UNSAID)
  const say = (reversed: boolean) => {
    void coil.tell({ craft: 'plugs', kind: 'polarity', reversed }, 'coil polarity')
  }
  return (
    <div className="grid items-end gap-3 desk:grid-cols-3">
      <div className="flex flex-wrap gap-2 desk:col-span-3">
        <Button disabled={coil.isPending} onClick={() => { say(false) }}>Coil: plug’s centre negative</Button>
        <Button disabled={coil.isPending} onClick={() => { say(true) }}>Coil reversed</Button>
      </div>
      <div className="desk:col-span-2">
        <TextField label="Heat range, as chosen" help={plugs.heat_range ?? 'Hotter for light work'} value={heat.value.words} onText={(words) => { heat.change({ words }) }} />
      </div>
      <Button disabled={heat.isPending || heat.value.words.trim() === ''} onClick={() => { void heat.tell({ craft: 'plugs', kind: 'heat_range', words: heat.value.words }, 'heat range') }}>Keep it</Button>
      <ErrorNote error={coil.error ?? heat.error} />
    </div>
  ) // prettier-ignore
}
