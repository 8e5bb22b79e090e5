import { useQuery } from '@tanstack/react-query'
import { useNavigate, useParams } from 'react-router'
import { catalogue } from '../../shared/api/catalogue'
import type { JobBench } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { Segments } from '../../shared/ui/Segments'
import { ThrowAway } from '../../shared/writes/ThrowAway'
import { useFormWrite } from '../../shared/writes/useFormWrite'
import { openJob } from '../../shared/api/jobs'
import { unitSheet } from '../../shared/api/units'
import { ABOUT, EMPTY, orderOf, symptomFrom, type Intake, type Way } from './intake'
import { SomethingElse } from './SomethingElse'
import { useWatch } from 'react-hook-form'
import { useTitle } from '../../shared/page/useTitle'

/** Intake, three separate things: the complaint as it was said, what was seen, what was already tried. */
export function NewJobPage() {
  const { id = '' } = useParams()
  return <IntakeForm key={id} id={id} />
}

function IntakeForm({ id }: { id: string }) {
  useTitle('Open a job')
  const navigate = useNavigate()
  const { data: unit } = useQuery(unitSheet(id))
  const { data: lists } = useQuery(catalogue())
  const opening = useFormWrite<Intake, JobBench>({
    name: `intake:${id}`,
    empty: EMPTY,
    onSaved: (job) => void navigate(`/jobs/${job.id}`),
    onWaiting: () => void navigate(`/units/${id}`),
  })
  const { form } = opening
  const [about, typed] = useWatch({ control: form.control, name: ['about', 'how'] })
  // Their keys are those that a complaint may be sent with, of the same file.
  const ways = (lists?.orders_of_work.find((row) => row.key === orderOf(about))?.ways ?? []) as {
    key: Way
    label: string
  }[]
  // What was typed before it was about something else.
  const how = ways.length === 0 || ways.some((way) => way.key === typed) ? typed : EMPTY.how
  const submit = form.handleSubmit((values) =>
    opening.write((jobId) => {
      const { tried, by_whom, fitted, complaint, seen, lamps } = values
      const attempts = tried.trim() === '' ? [] : [{ what: tried, by_whom, fitted_without_diagnosis: fitted }]
      return openJob(
        { complaint, seen, lamps, symptom: symptomFrom({ ...values, how }), id: jobId, unit_id: id, attempts },
        unit?.number ?? 'a unit',
      )
    }, values),
  )
  const complaintError = opening.error?.fields.complaint?.[0]
  return (
    <form onSubmit={(event) => void submit(event)} noValidate>
      <h1 className="text-display leading-tight">Open a job{unit && ` on ${unit.number} ${unit.name}`}</h1>
      <div className="grid gap-x-12 gap-y-6 pt-6 desk:grid-cols-3">
        <section aria-labelledby="said" className="flex flex-col gap-4">
          <h2 id="said" className="rule-below pb-1 text-lead">
            What the driver says
          </h2>
          <Field label="Complaint, in the driver’s words" error={complaintError && `It ${complaintError}`}>
            {(wiring) => <textarea {...wiring} {...form.register('complaint')} rows={4} />}
          </Field>
          <fieldset>
            <legend className="font-bold">It is about</legend>
            {ABOUT.map(({ key, label }) => (
              <label key={key} className="flex min-h-12 items-center gap-3">
                <input type="radio" value={key} {...form.register('about')} /> {label}
              </label>
            ))}
          </fieldset>
          {ways.length > 0 && (
            <div className="flex flex-col gap-2">
              <span aria-hidden className="font-bold">
                How it fails
              </span>
              <Segments
                label="How it fails"
                size="pairs"
                options={ways}
                chosen={how}
                onChoose={(key) => {
                  form.setValue('how', key, { shouldDirty: true })
                  form.setValue('situation', '')
                }}
              />
            </div>
          )}
          {about === 'circuit' && <SomethingElse unitId={id} form={form} error={opening.error} />}
        </section>
        <section aria-labelledby="seen" className="flex flex-col gap-4">
          <h2 id="seen" className="rule-below pb-1 text-lead">
            What you saw
          </h2>
          <fieldset>
            <legend className="font-bold">Lamps</legend>
            {lists?.lamps.map((lamp) => (
              <label key={lamp} className="flex min-h-12 items-center gap-3">
                <input type="checkbox" value={lamp} {...form.register('lamps')} /> {lamp}
              </label>
            ))}
          </fieldset>
          <Field label="Anything else seen" help="Clicks, smells, weather, how long parked">
            {(wiring) => <textarea {...wiring} {...form.register('seen')} rows={3} />}
          </Field>
        </section>
        <section aria-labelledby="tried" className="flex flex-col gap-4">
          <h2 id="tried" className="rule-below pb-1 text-lead">
            What was tried before
          </h2>
          <Field label="Tried or fitted" help="Jump start, tapping, parts by their id: new F8. Empty if nothing">
            {(wiring) => <textarea {...wiring} {...form.register('tried')} rows={3} />}
          </Field>
          <Field label="By whom">{(wiring) => <input {...wiring} {...form.register('by_whom')} />}</Field>
          <label className="flex min-h-12 items-center gap-3">
            <input type="checkbox" {...form.register('fitted')} /> A part was fitted without diagnosis
          </label>
        </section>
      </div>
      <div className="flex flex-col gap-4 pt-6">
        <ErrorNote error={opening.error} />
        <Button type="submit" look="main" disabled={opening.isPending} className="self-start">
          Open the job
        </Button>
        <ThrowAway
          isDrafted={opening.isDrafted}
          onThrowAway={() => {
            opening.clear()
            form.reset(EMPTY)
          }}
        />
      </div>
    </form>
  )
}
