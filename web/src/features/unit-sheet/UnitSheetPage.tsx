import { useQuery } from '@tanstack/react-query'
import { Link, useNavigate, useParams } from 'react-router'
import type { UnitSheet } from '../../shared/api/types'
import { LoopDrawing } from '../../shared/loop/LoopDrawing'
import { spokenDate } from '../../shared/quantities/when'
import { useMay } from '../../shared/session/session'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { VerdictMark } from '../../shared/ui/VerdictMark'
import { useWrite } from '../../shared/writes/useWrite'
import { bringBack, retire, unitSheet } from '../../shared/api/units'
import { Access } from './Access'
import { Batteries } from './Batteries'
import { Circuits } from './Circuits'
import { ColdStart } from './ColdStart'
import { Notices } from './Notices'
import { Parts } from './Parts'
import { Rounds } from './Rounds'
import { StandingHead } from './StandingHead'
import { Timeline } from './Timeline'
import { Shown } from '../../shared/page/Shown'
import { useTitle } from '../../shared/page/useTitle'
import { glued } from '../../shared/quantities/glued'

/** The one filled surface: the open job, or the way to open one. */
function Next({ sheet }: { sheet: UnitSheet }) {
  const may = useMay()
  const job = sheet.jobs.find((one) => one.state === 'open') ?? sheet.jobs.find((one) => one.state === 'parked')
  if (job) {
    return (
      <div className="flex flex-col gap-2">
        <Link to={`/jobs/${job.id}`} className="block bg-copper p-5 text-on-copper no-underline">
          <span className="font-label font-bold">
            Job {job.number}, {job.state}
          </span>
          <span className="block text-lead">{job.complaint}</span>
          {job.parked_missing && <span className="block">Missing: {job.parked_missing}</span>}
          <span className="mt-2 block font-label font-bold underline underline-offset-4">Go on with the job</span>
        </Link>
        {may('report_fault') && !sheet.retired && (
          <Link
            to={`/units/${sheet.id}/jobs/new`}
            className="inline-flex min-h-12 items-center self-start font-label font-bold"
          >
            Open another job
          </Link>
        )}
      </div>
    )
  }
  if (!may('report_fault') || sheet.retired) return null
  return (
    <Link to={`/units/${sheet.id}/jobs/new`} className="block bg-copper p-5 text-on-copper no-underline">
      <span className="font-label font-bold">Nothing open</span>
      <span className="block text-lead">Something wrong with it? Open a job with the driver’s words.</span>
      <span className="mt-2 block font-label font-bold underline underline-offset-4">Open a job</span>
    </Link>
  )
}

const NOTHING = {}

function Head({ sheet }: { sheet: UnitSheet }) {
  const may = useMay()
  const navigate = useNavigate()
  const retiring = useWrite<object, UnitSheet>({ name: `retire:${sheet.id}`, empty: NOTHING })
  return (
    <header className="rule-below flex flex-wrap items-end justify-between gap-4 pb-3">
      <div>
        <h1 className="text-display leading-tight">
          {sheet.number} <span className="font-medium">{sheet.name}</span>
        </h1>
        <p className="text-quiet">
          {sheet.yard}, {sheet.system}
          {sheet.usual_cranking_current_ampere &&
            glued(`, usual cranking current ${sheet.usual_cranking_current_ampere} A`)}
          {sheet.alternator_rating_ampere && glued(`, alternator ${sheet.alternator_rating_ampere} A`)}
          {sheet.retired && ', retired'}
        </p>
      </div>
      <div className="flex flex-wrap gap-3">
        <Link to={`/tag/${sheet.id}`} className="inline-flex min-h-12 items-center font-label font-bold">
          Tag
        </Link>
        {may('edit_units') && <Button onClick={() => void navigate(`/units/${sheet.id}/edit`)}>Edit</Button>}
        {may('retire_units') && (
          <Button
            onClick={() => {
              void retiring.write(() => (sheet.retired ? bringBack(sheet) : retire(sheet)))
            }}
          >
            {sheet.retired ? 'Bring back' : 'Retire'}
          </Button>
        )}
      </div>
      <ErrorNote error={retiring.error} />
    </header>
  )
}

/** A unit: its loops with the last reading at every place, batteries, open items, timeline. */
export function UnitSheetPage() {
  const { id = '' } = useParams()
  const asked = useQuery(unitSheet(id))
  useTitle(asked.data ? `${asked.data.number} ${asked.data.name}` : '')
  return (
    <Shown asked={asked} what="the unit">
      {(sheet) => {
        return (
          <div className="flex flex-col gap-6">
            <Head sheet={sheet} />
            <StandingHead sheet={sheet} />
            <div className="grid grid-cols-[minmax(0,1fr)] gap-8 desk:grid-cols-[minmax(0,1.45fr)_minmax(0,1fr)] desk:gap-12">
              <div className="order-2 flex flex-col gap-6 desk:order-1">
                {sheet.loops.map((loop) => (
                  <LoopDrawing key={loop.key} loop={loop} />
                ))}
                <Batteries sheet={sheet} />
                <Parts sheet={sheet} />
                <Timeline sheet={sheet} />
              </div>
              <div className="order-1 flex flex-col gap-8 desk:order-2">
                <Next sheet={sheet} />
                {sheet.temporary.map((repair) => (
                  <Link
                    key={repair.job_id}
                    to={`/jobs/${repair.job_id}`}
                    className="flex items-baseline gap-3 no-underline"
                  >
                    <VerdictMark verdict="watch" word={false} />
                    <span>
                      <span className="link-words font-label font-bold">Temporary: {repair.element_label}</span>
                      <span className="block text-quiet">
                        holds until {spokenDate(repair.temporary_until)}, {repair.reason?.toLowerCase()}
                      </span>
                    </span>
                  </Link>
                ))}
                <Notices sheet={sheet} />
                <ColdStart sheet={sheet} />
                <Rounds sheet={sheet} />
                <Access sheet={sheet} />
                <Circuits sheet={sheet} />
              </div>
            </div>
          </div>
        )
      }}
    </Shown>
  )
}
