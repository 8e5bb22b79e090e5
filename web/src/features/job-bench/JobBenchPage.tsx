import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useCallback, useState } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import type { JobBench, Reading } from '../../shared/api/types'
import { LoopDrawing } from '../../shared/loop/LoopDrawing'
import { useMay } from '../../shared/session/session'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Sheet } from '../../shared/ui/Sheet'
import { useKey } from '../../shared/keys/useKey'
import { bench, expectation, type Probe } from '../../shared/api/jobs'
import { BenchTabs, Panel, type Tab } from './BenchTabs'
import { Disturbed } from './Disturbed'
import { EndJob } from './EndJob'
import { Evidence } from './Evidence'
import { Intake } from './Intake'
import { Ladders } from './Ladders'
import { LockOut } from './LockOut'
import { MeasureElse } from './MeasureElse'
import { NextCard } from './NextCard'
import { padCard } from '../../shared/pad/pad'
import { PathDrawing } from './PathDrawing'
import { NO_POINTS, touched } from './points'
import { ReadingPad } from './ReadingPad'
import { RepairForm } from './RepairForm'
import { Repairs } from './Repairs'
import { TestPicker } from './TestPicker'
import { useBenchActions } from './useBenchActions'
import { Shown } from '../../shared/page/Shown'
import { useTitle } from '../../shared/page/useTitle'
import { Pending } from '../../shared/unsent/Pending'

function Spoken({ job }: { job: JobBench }) {
  const last = job.readings.at(-1)
  return (
    <p role="status" className="sr-only">
      {last?.judged &&
        `${last.short} ${last.spoken}: ${last.judged.verdict}. ${last.judged.summary}. Next: ${job.next_step.title}`}
    </p>
  )
}

const LOOP: Record<string, string> = { starting: 'start', charging: 'charge' }

function Bench({ job }: { job: JobBench }) {
  const may = useMay()
  const [pressed, setTab] = useState<Tab>('next')
  const { pad, setPad, repairing, setRepairing, attention, saved, doNext, error } = useBenchActions(job)
  const open = job.state === 'open'
  // How a job ended stands with what was done.
  const tab = open || pressed !== 'end' ? pressed : 'next'
  const mayMeasure = may('take_reading') && open && !job.lockout_owed
  const mayWork = may('work_on_job')
  const loop = LOOP[job.symptom.work] && job.loops.find((one) => one.key === LOOP[job.symptom.work])
  const stepTest = job.tests.find((test) => test.key === job.next_step.test_key)
  const padTest = padCard(pad, job.tests)
  const [params] = useSearchParams()
  // A pin that was tapped on the drawing.
  const [points, setPoints] = useState<Probe>(() => {
    const touch = params.get('touch')
    return touch === null ? NO_POINTS : touched(NO_POINTS, touch, job.symptom.situation)
  })
  const queries = useQueryClient()
  // A point of the reading may be gone from the circuit since: the answer then says so.
  const correcting = useMutation({
    mutationFn: (reading: Reading & { probe: Probe }) => queries.query(expectation(job.id, reading.probe, true)),
    onSuccess: (probe, reading) => {
      setPad({ testKey: null, probe, position: null, correcting: reading })
      setTab('next')
    },
  })
  const correct = (reading: Reading) => {
    const { probe } = reading
    if (probe) correcting.mutate({ ...reading, probe })
    else {
      setPad({ testKey: reading.test_key, position: reading.position, correcting: reading })
      setTab('next')
    }
  }
  useKey('n', useCallback(() => { if (mayMeasure) doNext() }, [mayMeasure, doNext])) // prettier-ignore
  useKey('r', useCallback(() => { if (mayWork && open) setRepairing(true) }, [mayWork, open, setRepairing])) // prettier-ignore

  const path = job.path && (
    <PathDrawing
      job={job}
      path={job.path}
      onTouch={
        mayMeasure
          ? (node) => {
              setPoints(touched(points, node, job.symptom.situation))
              setTab('next')
            }
          : undefined
      }
    />
  )
  const circuit = (
    <Panel of="circuit" tab={tab}>
      {path ?? (loop && <LoopDrawing loop={loop} />)}
      <p className="flex flex-wrap gap-x-6">
        <Link to={`/jobs/${job.id}/drawing`} className="min-h-12 py-3">
          On the drawing
        </Link>
        <Link to={`/units/${job.unit.id}/engine`} className="min-h-12 py-3">
          Spark and kept figures
        </Link>
      </p>
    </Panel>
  )

  // Once something was mended, its proof is what the work is about.
  const mended = job.repairs.length > 0
  // What is still off stands beside the step that asks for it.
  const puttingBack = open && job.next_step.kind === 'put_back'
  const disturbed = <Disturbed job={job} mayWork={mayWork && open} />

  // What was done and how it was proved comes first once the job has ended.
  const repairs = (
    <Repairs
      job={job}
      mayWork={mayWork}
      onRecord={() => {
        setRepairing(true)
      }}
      onUndo={
        mayMeasure
          ? (target) => {
              setPad(target)
              setTab('next')
            }
          : undefined
      }
    />
  )

  return (
    <div
      className="flex flex-col gap-6 desk:grid desk:grid-cols-[minmax(0,1.45fr)_minmax(0,1fr)] desk:gap-12"
      data-readings={job.readings.length}
    >
      <div className="contents desk:flex desk:min-w-0 desk:flex-col desk:gap-6">
        <Intake job={job} />
        {job.left_out && <p className="border-l-4 border-watch pl-4">{job.left_out}.</p>}
        <Pending on={job.id} />
        <BenchTabs tab={tab} onTab={setTab} open={open} readings={job.readings.length} />
        <Panel of="next" tab={tab}>
          {!open && repairs}
          {open && (
            <div>
              {job.lockout_owed ? (
                <LockOut job={job} mayWork={mayWork} />
              ) : (
                <NextCard
                  job={job}
                  test={stepTest}
                  mayWork={mayMeasure}
                  padOpen={padTest !== undefined && pad !== null}
                  attention={attention}
                  onDo={doNext}
                />
              )}
              {pad && padTest && mayMeasure && (
                <ReadingPad
                  key={`${padTest.key}${pad.position ?? ''}${pad.correcting?.id ?? ''}`}
                  job={job}
                  test={padTest}
                  target={pad}
                  onSaved={saved}
                  onClose={saved}
                />
              )}
            </div>
          )}
          <ErrorNote error={error ?? correcting.error} />
          {puttingBack && disturbed}
        </Panel>
        {circuit}
        {mayMeasure && !pad && (
          <Panel of="next" tab={tab}>
            <TestPicker job={job} onPick={setPad} />
            <MeasureElse job={job} points={points} onPoints={setPoints} onPick={setPad} />
          </Panel>
        )}
        <Panel of="circuit" tab={tab}>
          <Ladders job={job} mayOverride={may('override_ladder') && open} />
        </Panel>
      </div>
      <div className="contents desk:flex desk:min-w-0 desk:flex-col desk:gap-8">
        {open && mended && (
          <Panel of="end" tab={tab}>
            {repairs}
          </Panel>
        )}
        <Panel of="known" tab={tab}>
          <Evidence job={job} onCorrect={mayMeasure ? correct : undefined} />
        </Panel>
        <Panel of={open ? 'end' : 'next'} tab={tab}>
          {open && !mended && repairs}
          {!puttingBack && disturbed}
          {mayWork && <EndJob job={job} />}
        </Panel>
      </div>
      <Sheet
        title="Record a repair"
        open={repairing}
        onClose={() => {
          setRepairing(false)
        }}
      >
        <RepairForm
          job={job}
          onDone={() => {
            setRepairing(false)
            saved()
          }}
        />
      </Sheet>
      <Spoken job={job} />
    </div>
  )
}

/** The job: complaint, next step, pad, loop and ladders on one side; evidence, repairs and the end of it on the other. */
export function JobBenchPage() {
  const { id = '' } = useParams()
  const asked = useQuery(bench(id))
  useTitle(asked.data ? `Job ${asked.data.number}, ${asked.data.unit.number}` : '')
  return (
    <Shown asked={asked} what="the job">
      {(job) => {
        return (
          <div className="flex flex-col gap-5">
            <header className="rule-below flex flex-wrap items-end justify-between gap-x-6 pb-3">
              <h1 className="text-display leading-tight">
                <Link to={`/units/${job.unit.id}`}>{job.unit.number}</Link>{' '}
                <span className="font-medium">{job.unit.name}</span>
              </h1>
              <p className="text-quiet">
                Job {job.number}, {job.state}.{' '}
                {[
                  job.unit.yard,
                  job.unit.system,
                  ...job.unit.batteries.map(
                    (battery) => `${battery.position} ${battery.rating_ampere} A ${battery.rating_standard}`,
                  ),
                ].join(', ')}
              </p>
            </header>
            <Bench job={job} />
          </div>
        )
      }}
    </Shown>
  )
}
