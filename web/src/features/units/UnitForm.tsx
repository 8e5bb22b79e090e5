import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useController } from 'react-hook-form'
import { catalogue } from '../../shared/api/catalogue'
import type { Catalogue, UnitSheet } from '../../shared/api/types'
import { fleet, type UnitPage as Fleet } from '../../shared/api/units'
import { Button } from '../../shared/ui/Button'
import { Combobox } from '../../shared/ui/Combobox'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { Waiting } from '../../shared/ui/Waiting'
import { BothVersions } from '../../shared/writes/BothVersions'
import { ThrowAway } from '../../shared/writes/ThrowAway'
import { useFormWrite } from '../../shared/writes/useFormWrite'
import { changeUnit, enterUnit } from '../../shared/api/units'
import { AsSisters } from './AsSisters'
import {
  asSisters,
  emptyUnit,
  fromSheet,
  merged,
  toInput,
  unlike,
  type Grounding,
  type Regulator,
  type UnitFields,
} from './unitFields'

const BANKS = [
  { value: 'none-0-12', label: 'none, started by hand' },
  { value: 'single-1-12', label: '12 V, one battery' },
  { value: 'parallel-2-12', label: '12 V, two in parallel' },
  { value: 'parallel-3-12', label: '12 V, three in parallel' },
  { value: 'parallel-4-12', label: '12 V, four in parallel' },
  { value: 'series-2-24', label: '24 V, series pair' },
  { value: 'single-1-6', label: '6 V, one battery' },
  { value: 'parallel-2-6', label: '6 V, two in parallel' },
  { value: 'single-1-48', label: '48 V, a pack with its own management' },
]

const REGULATORS: { value: Regulator; label: string }[] = [
  { value: 'internal', label: 'alternator, regulator inside' },
  { value: 'external_a', label: 'alternator, regulator grounds its field (A)' },
  { value: 'external_b', label: 'alternator, regulator feeds its field (B)' },
  { value: 'commanded', label: 'alternator, commanded by a control unit' },
  { value: 'dc_dc', label: 'DC/DC converter, no alternator' },
]

const MATTERS: { value: UnitFields['matters']; label: string }[] = [
  { value: 'usual', label: 'It is missed' },
  { value: 'urgent', label: 'It cannot wait: rescue, snow, the only one' },
  { value: 'spare', label: 'Another can go instead' },
]
const GROUNDINGS: { value: Grounding; label: string }[] = [
  { value: 'negative', label: 'negative, the usual' },
  { value: 'positive', label: 'positive' },
  { value: 'insulated', label: 'neither: insulated return' },
]

/** Of the make that stands there; of all, while it is none that is known. */
function modelsOf({ classes }: Fleet, make: string) {
  const mine = classes.filter((one) => one.make.toLowerCase() === make.trim().toLowerCase())
  const models = (mine.length > 0 ? mine : classes).map((one) => one.model)
  return [...new Set(models)].map((label) => ({ label }))
}

interface Entering {
  existing?: UnitSheet
  onSaved: (sheet: UnitSheet) => void
  onWaiting?: () => void
}

/** Enter or change a unit: what core needs to judge it, nothing more. */
export function UnitForm(entering: Entering) {
  const { data: lists } = useQuery(catalogue())
  const { data: known } = useQuery(fleet())
  // A list that comes after its choice would show another one than it sends.
  if (!lists || !known) return <Waiting what="kinds and yards" />
  return <Fields {...entering} lists={lists} known={known} />
}

function Fields({ existing, onSaved, onWaiting, lists, known }: Entering & { lists: Catalogue; known: Fleet }) {
  const [empty] = useState<UnitFields>(existing ? fromSheet(existing) : emptyUnit(known.yards))
  const saving = useFormWrite<UnitFields, UnitSheet>({
    name: `unit:${existing?.id ?? 'new'}`,
    empty,
    ...(existing && { version: existing.lock_version }),
    onSaved,
    ...(onWaiting && { onWaiting }),
  })
  const { form, errors } = saving
  const { field: make } = useController({ control: form.control, name: 'make' })
  const { field: model } = useController({ control: form.control, name: 'model' })
  const submit = form.handleSubmit((values) =>
    saving.write(
      (id, base) => (existing ? changeUnit(existing.id, toInput(values), base ?? 0) : enterUnit(id, toInput(values))),
      values,
    ),
  )
  const theirs = saving.error?.theirs
  const yardName = (id: string) => known.yards.find((yard) => yard.id === id)?.name ?? id
  return (
    <form onSubmit={(event) => void submit(event)} className="grid gap-5 desk:grid-cols-2" noValidate>
      <Field label="Number" error={errors.number?.message} help="As painted on the unit, B-14">
        {(wiring) => <input {...wiring} {...form.register('number')} />}
      </Field>
      <Field label="Name" error={errors.name?.message}>
        {(wiring) => <input {...wiring} {...form.register('name')} />}
      </Field>
      <Combobox
        label="Make"
        free
        error={errors.make?.message}
        help="Sister units share make and model: sheets, usual figures"
        choices={[...new Set(known.classes.map((one) => one.make))].map((label) => ({ label }))}
        text={make.value}
        onText={make.onChange}
      />
      <Combobox
        label="Model"
        free
        error={errors.model?.message}
        choices={modelsOf(known, make.value)}
        text={model.value}
        onText={model.onChange}
      />
      {!existing && (
        <AsSisters
          make={make.value}
          model={model.value}
          onTake={(facts) => {
            form.reset({ ...form.getValues(), ...asSisters(facts) }, { keepDefaultValues: true, keepDirty: true })
          }}
        />
      )}
      <Field label="Kind" error={errors.kind?.message}>
        {(wiring) => (
          <select {...wiring} {...form.register('kind')}>
            {lists.unit_kinds.map((kind) => (
              <option key={kind}>{kind}</option>
            ))}
          </select>
        )}
      </Field>
      <Field label="Yard" error={errors.yard_id?.message}>
        {(wiring) => (
          <select {...wiring} {...form.register('yard_id')}>
            <option value="">Choose a yard</option>
            {known.yards.map((yard) => (
              <option key={yard.id} value={yard.id}>
                {yard.name}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field label="Batteries" error={errors.bank?.message}>
        {(wiring) => (
          <select {...wiring} {...form.register('bank')}>
            {BANKS.map((bank) => (
              <option key={bank.value} value={bank.value}>
                {bank.label}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field
        label="Usual cranking current, A"
        error={errors.usual_cranking_current_ampere?.message}
        help="What the healthy engine takes at about 20 °C; drops are judged by it. Empty if it has no starter"
      >
        {(wiring) => <input {...wiring} {...form.register('usual_cranking_current_ampere')} inputMode="decimal" />}
      </Field>
      <Field label="Alternator rating, A" error={errors.alternator_rating_ampere?.message} help="Empty if not known">
        {(wiring) => <input {...wiring} {...form.register('alternator_rating_ampere')} inputMode="decimal" />}
      </Field>
      <Field label="Charged by" error={errors.regulator?.message}>
        {(wiring) => (
          <select {...wiring} {...form.register('regulator')}>
            {REGULATORS.map((one) => (
              <option key={one.value} value={one.value}>
                {one.label}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field
        label="Ground"
        error={errors.grounding?.message}
        help="What the frame is joined to; posts, leads and cautions are named by it"
      >
        {(wiring) => (
          <select {...wiring} {...form.register('grounding')}>
            {GROUNDINGS.map((one) => (
              <option key={one.value} value={one.value}>
                {one.label}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field
        label="If it does not start"
        error={errors.matters?.message}
        help="Orders tonight’s list beside the chance"
      >
        {(wiring) => (
          <select {...wiring} {...form.register('matters')}>
            {MATTERS.map((one) => (
              <option key={one.value} value={one.value}>
                {one.label}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field label="Where it works" error={errors.exposure?.message} help="How soon its grounds are looked after again">
        {(wiring) => (
          <select {...wiring} {...form.register('exposure')}>
            <option value="dry">Dry, mostly</option>
            <option value="salt">In salt, mud or spray</option>
          </select>
        )}
      </Field>
      <fieldset className="flex flex-col justify-center gap-1">
        <legend className="font-bold">Fitted with</legend>
        <label className="flex min-h-12 items-center gap-3">
          <input type="checkbox" {...form.register('has_isolator')} /> Battery isolator
        </label>
        <label className="flex min-h-12 items-center gap-3">
          <input type="checkbox" {...form.register('has_sense')} /> Sense wire to the alternator
        </label>
        <label className="flex min-h-12 items-center gap-3">
          <input type="checkbox" {...form.register('neutral_interlock')} /> Neutral switch in the coil of the start
          relay
        </label>
        {form.watch('bank').startsWith('series') && (
          <label className="flex min-h-12 items-center gap-3">
            <input type="checkbox" {...form.register('has_equaliser')} /> Equaliser on the middle of the pair
          </label>
        )}
        <label className="flex min-h-12 items-center gap-3">
          <input type="checkbox" {...form.register('heat_aid')} /> Glow plugs or a heater flange
        </label>
        <label className="flex min-h-12 items-center gap-3">
          <input type="checkbox" {...form.register('control_unit')} /> A control unit has to stay awake for it to start
        </label>
        <label className="flex min-h-12 items-center gap-3">
          <input type="checkbox" {...form.register('automatic_start')} /> It starts by itself: locked out before hands
          go in
        </label>
      </fieldset>
      <div className="flex flex-col gap-4 desk:col-span-2">
        {theirs ? (
          <BothVersions
            differences={unlike(saving.value, theirs, yardName)}
            onChosen={(sides) => {
              const chosen = merged(saving.value, theirs, sides)
              form.reset(chosen)
              saving.rebase(chosen, Number(theirs.lock_version))
            }}
          />
        ) : (
          <ErrorNote error={saving.error} />
        )}
        <Button type="submit" look="main" disabled={saving.isPending || theirs !== undefined}>
          {existing ? 'Save the unit' : 'Enter the unit'}
        </Button>
        <ThrowAway
          isDrafted={saving.isDrafted}
          onThrowAway={() => {
            saving.clear()
            form.reset(empty)
          }}
        />
      </div>
    </form>
  )
}
