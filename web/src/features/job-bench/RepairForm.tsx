import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useWatch } from 'react-hook-form'
import { catalogue } from '../../shared/api/catalogue'
import type { JobBench } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { Waiting } from '../../shared/ui/Waiting'
import { minutesFrom } from '../../shared/quantities/minutesFrom'
import { ThrowAway } from '../../shared/writes/ThrowAway'
import { jobPoints, recordRepair } from '../../shared/api/jobs'
import { useBenchForm } from './useBenchWrite'

const lines = (text: string) =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '')

/** What the step names, else the first of the loops; parts of the circuit and of the loops are told apart by what stands before their key. */
function partOf(job: JobBench) {
  const { unit, element } = job.next_step
  if (!unit && job.symptom.along_paths) return ''
  return unit ? `unit:${unit}` : `element:${element ?? job.elements[0]?.key ?? ''}`
}

function partFrom(part: string) {
  const key = part.slice(part.indexOf(':') + 1)
  return part.startsWith('unit:') ? { unit: key } : { element: key }
}

const unitOption = (one: { key: string; label: string }) => (
  <option key={one.key} value={`unit:${one.key}`}>
    {one.label}
  </option>
)

/** Record a repair: what, why, how, how long, for good or for now, proved by which reading, what was disturbed. */
export function RepairForm({ job, onDone }: { job: JobBench; onDone: () => void }) {
  const step = job.next_step
  const { data: lists } = useQuery(catalogue())
  // Waited for only where the choice to begin with is one of them: without network the parts of their own are there at once.
  const needed = job.symptom.along_paths || step.unit !== null
  const units = useQuery(jobPoints(job.id, true)).data?.units
  const near = new Set([...(job.path?.feed ?? []), ...(job.path?.return ?? [])].map((stretch) => stretch.unit))
  const failing = job.readings.filter((reading) => reading.fate === null && reading.judged?.verdict === 'act')
  const [empty] = useState({
    part: partOf(job),
    position: step.position ?? '',
    failing_reading_id: step.failing_reading_id ?? failing.at(-1)?.id ?? '',
    cause: 'corrosion',
    action: step.kind === 'condemn' ? 'replaced' : 'cleaned',
    place: '',
    parts: '',
    minutes: '',
    temporary: false,
    temporary_reason: '',
    temporary_until: '',
    disturbed: '',
  })
  const record = useBenchForm(job.id, { name: 'repair', empty, onSaved: onDone, onWaiting: onDone })
  const { form } = record
  const [part, temporary] = useWatch({ control: form.control, name: ['part', 'temporary'] })
  const fields = record.error?.fields ?? {}
  const submit = form.handleSubmit(({ part: chosen, ...values }) =>
    record.write(
      (id) =>
        recordRepair(
          job,
          {
            ...values,
            id,
            ...partFrom(chosen),
            position: chosen === 'element:battery' ? values.position : null,
            minutes: minutesFrom(values.minutes) as number,
            failing_reading_id: values.failing_reading_id || null,
            temporary_until: values.temporary ? values.temporary_until : null,
            temporary_reason: values.temporary ? values.temporary_reason : null,
            disturbed: lines(values.disturbed),
          },
          step.element_label ?? chosen,
        ),
      { part: chosen, ...values },
    ),
  )
  // A list that comes after its choice would show another one than it sends.
  if (!lists || (needed && !units)) return <Waiting what="causes and actions" />

  return (
    <form onSubmit={(event) => void submit(event)} className="flex flex-col gap-5" noValidate>
      <Field label="Part" error={fields.element?.[0] ?? fields.unit?.[0]}>
        {(wiring) => (
          <select {...wiring} {...form.register('part')}>
            <optgroup label="Parts of their own">
              {job.elements.map((one) => (
                <option key={one.key} value={`element:${one.key}`}>
                  {one.label}
                </option>
              ))}
            </optgroup>
            {units && near.size > 0 && (
              <optgroup label={`On the way to ${job.path?.load ?? ''} and back`}>
                {units.filter((one) => near.has(one.key)).map(unitOption)}
              </optgroup>
            )}
            {units && (
              <optgroup label={near.size > 0 ? 'Elsewhere on its circuit' : 'On its circuit'}>
                {units.filter((one) => !near.has(one.key)).map(unitOption)}
              </optgroup>
            )}
          </select>
        )}
      </Field>
      {part === 'element:battery' && (
        <Field label="Which battery" error={fields.position?.[0]}>
          {(wiring) => (
            <select {...wiring} {...form.register('position')}>
              <option value="">Choose</option>
              {job.unit.positions.map((position) => (
                <option key={position}>{position}</option>
              ))}
            </select>
          )}
        </Field>
      )}
      <Field
        label="Proved by repeating"
        help="The reading that showed the fault: same points, same state"
        error={fields.failing_reading_id?.[0]}
      >
        {(wiring) => (
          <select {...wiring} {...form.register('failing_reading_id')}>
            <option value="">No reading showed it</option>
            {failing.map((reading) => (
              <option key={reading.id} value={reading.id}>
                {reading.short} {reading.position} {reading.spoken}
              </option>
            ))}
          </select>
        )}
      </Field>
      <div className="grid grid-cols-2 gap-4">
        <Field label="Cause" error={fields.cause?.[0]}>
          {(wiring) => (
            <select {...wiring} {...form.register('cause')}>
              {lists.causes.map((cause) => (
                <option key={cause.key} value={cause.key}>
                  {cause.label}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field label="What was done" error={fields.action?.[0]}>
          {(wiring) => (
            <select {...wiring} {...form.register('action')}>
              {lists.actions.map((action) => (
                <option key={action.key} value={action.key}>
                  {action.label}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field label="Where exactly">{(wiring) => <input {...wiring} {...form.register('place')} />}</Field>
        <Field label="Minutes" help="90, or 1h 30" error={fields.minutes?.[0]}>
          {(wiring) => <input {...wiring} {...form.register('minutes')} />}
        </Field>
      </div>
      <Field label="Parts" help="Empty: mended without parts">
        {(wiring) => <input {...wiring} {...form.register('parts')} />}
      </Field>
      <Field
        label="Disturbed to get there"
        help="One a line: plugs, leads, covers, battery negative. All must go back before the job closes"
      >
        {(wiring) => <textarea {...wiring} {...form.register('disturbed')} rows={2} />}
      </Field>
      <label className="flex min-h-12 items-center gap-3 font-bold">
        <input type="checkbox" {...form.register('temporary')} /> Temporary
      </label>
      {temporary && (
        <>
          <Field label="Holds until" error={fields.temporary_until?.[0]}>
            {(wiring) => <input {...wiring} {...form.register('temporary_until')} type="date" />}
          </Field>
          <Field label="Why temporary" error={fields.temporary_reason?.[0]}>
            {(wiring) => <input {...wiring} {...form.register('temporary_reason')} />}
          </Field>
        </>
      )}
      <ErrorNote error={record.error} />
      <Button type="submit" look="main" disabled={record.isPending}>
        Save the repair
      </Button>
      <ThrowAway
        isDrafted={record.isDrafted}
        onThrowAway={() => {
          record.clear()
          form.reset(empty)
        }}
      />
    </form>
  )
}
