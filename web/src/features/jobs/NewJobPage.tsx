import { useQuery } from '@tanstack/react-query'
import { useEffect } from 'react'
import { useForm, useWatch } from 'react-hook-form'
import { useNavigate, useParams } from 'react-router'
import { catalogue } from '../../shared/api/catalogue'
import { useDraft } from '../../shared/drafts/useDraft'
import { useRequestId } from '../../shared/drafts/useRequestId'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { unitToOpenOn, useOpenJob } from './api'

interface Intake {
  family: 'starting' | 'charging'
  complaint: string
  seen: string
  lamps: string[]
  tried: string
  by_whom: string
  fitted: boolean
}

const EMPTY: Intake = { family: 'starting', complaint: '', seen: '', lamps: [], tried: '', by_whom: '', fitted: false }

/** Intake, three separate things: the complaint as it was said, what was seen, what was already tried. */
export function NewJobPage() {
  const { id = '' } = useParams()
  const navigate = useNavigate()
  const { data: unit } = useQuery(unitToOpenOn(id))
  const { data: lists } = useQuery(catalogue())
  const [draft, keep, clear] = useDraft<Intake>(`intake:${id}`, EMPTY)
  const form = useForm<Intake>({ defaultValues: draft })
  const [requestId, renew] = useRequestId()
  const open = useOpenJob()
  const fields = useWatch({ control: form.control })
  useEffect(() => {
    if (form.formState.isDirty) keep(fields as Intake)
  }, [fields, form.formState.isDirty, keep])

  const submit = form.handleSubmit(({ tried, by_whom, fitted, ...intake }) => {
    const attempts = tried.trim() === '' ? [] : [{ what: tried, by_whom, fitted_without_diagnosis: fitted }]
    open.mutate(
      { ...intake, id: requestId, unit_id: id, attempts },
      {
        onSuccess: (job) => {
          clear()
          void navigate(`/jobs/${job.id}`)
        },
        onError: (error) => {
          if (error.status >= 400) renew()
        },
      },
    )
  })
  const complaintError = open.error?.fields.complaint?.[0]
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
            {(['starting', 'charging'] as const).map((family) => (
              <label key={family} className="flex min-h-12 items-center gap-3">
                <input type="radio" value={family} {...form.register('family')} /> {family}
              </label>
            ))}
          </fieldset>
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
          <Field label="Tried or fitted" help="Jump start, parts, tapping. Empty if nothing">
            {(wiring) => <textarea {...wiring} {...form.register('tried')} rows={3} />}
          </Field>
          <Field label="By whom">{(wiring) => <input {...wiring} {...form.register('by_whom')} />}</Field>
          <label className="flex min-h-12 items-center gap-3">
            <input type="checkbox" {...form.register('fitted')} /> A part was fitted without diagnosis
          </label>
        </section>
      </div>
      <div className="flex flex-col gap-4 pt-6">
        <ErrorNote error={open.error} />
        <Button type="submit" look="main" disabled={open.isPending} className="self-start">
          Open the job
        </Button>
      </div>
    </form>
  )
}
