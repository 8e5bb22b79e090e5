import type { Engine, PlugSearch } from '../../../shared/api/engines'
import { useMay } from '../../../shared/session/session'
import { Button } from '../../../shared/ui/Button'
import { ErrorNote } from '../../../shared/ui/ErrorNote'
import { Tick } from '../../../shared/ui/Tick'
import { TextField } from '../../../shared/ui/TextField'
import { VerdictMark } from '../../../shared/ui/VerdictMark'
import { Log } from '../Log'
import { NextThing } from '../NextThing'
import { useTell } from '../useTell'
import { CylinderRow } from './CylinderRow'
import { ChangeForm, CoilAndHeat, FigureForm, PlugForm } from './EntryForms'
import { RunForm } from './RunForm'
import { StepAnswer } from './StepAnswer'

const UNSAID = { order: '', wasted: false }
const NOTHING = {}
type Trial = PlugSearch['trials'][number]

const MARK: Record<Trial['verdict'], 'sound' | 'watch' | 'unproven' | 'act'> = {
  cured: 'sound',
  one_of: 'watch',
  masked: 'unproven',
  no_difference: 'unproven',
  worse: 'act',
}
const TITLE: Record<Trial['verdict'], string> = {
  cured: 'Cured by it',
  one_of: 'One of several',
  masked: 'Not judged',
  no_difference: 'No difference',
  worse: 'Worse',
}

/** The firing order comes first: nothing can be said of cylinders nobody counted. */
function Begin({ engine, words }: { engine: Engine; words: string }) {
  const { value, change, tell, error, isPending } = useTell(engine, 'plugs-begin', UNSAID)
  return (
    <form
      className="flex max-w-xl flex-col gap-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void tell(
          { craft: 'plugs', kind: 'begun', order: value.order, wasted: value.wasted },
          'search of a dead cylinder',
        )
      }}
    >
      <p>{words}</p>
      <TextField
        label="Firing order"
        help="As it stands on the engine: 1-3-4-2"
        value={value.order}
        error={error?.fields.order?.[0] ?? (error?.status === 422 ? error.message : undefined)}
        onText={(order) => {
          change({ ...value, order })
        }}
      />
      <Tick
        label="Two cylinders share a coil (wasted spark)"
        on={value.wasted}
        onTick={(wasted) => {
          change({ ...value, wasted })
        }}
      />
      <Button type="submit" look="main" className="self-start" disabled={isPending || value.order.trim() === ''}>
        Begin
      </Button>
    </form>
  )
}

function Shelf({ engine, one }: { engine: Engine; one: PlugSearch['to_shelf'][number] }) {
  const { tell, error, isPending } = useTell(engine, `shelf:${one.change}`, NOTHING)
  return (
    <li className="rule-below flex flex-wrap items-center justify-between gap-3 py-2">
      {one.words}
      <Button
        disabled={isPending}
        onClick={() => {
          void tell({ craft: 'plugs', kind: 'shelf', change: one.change }, 'part back to the shelf')
        }}
      >
        Back on the shelf
      </Button>
      <ErrorNote error={error} />
    </li>
  )
}

function Found({ plugs }: { plugs: PlugSearch }) {
  return (
    <>
      {plugs.trials.length > 0 && (
        <section aria-labelledby="trials">
          <h3 id="trials" className="rule-below pb-1 text-lead">
            What each change was worth
          </h3>
          <ol>
            {plugs.trials.map((trial, index) => (
              <li key={index} className="rule-below grid grid-cols-[1.5rem_1fr] gap-x-3 py-2">
                <VerdictMark verdict={MARK[trial.verdict]} word={false} />
                <p>
                  <span className="font-semibold">{TITLE[trial.verdict]}.</span> {trial.words}
                </p>
              </li>
            ))}
          </ol>
        </section>
      )}
      {plugs.figures.length > 0 && (
        <section aria-labelledby="figures">
          <h3 id="figures" className="rule-below pb-1 text-lead">
            Measured
          </h3>
          <ul>
            {plugs.figures.map((figure) => (
              <li key={figure.label} className="rule-below grid grid-cols-[1.5rem_1fr] gap-x-3 py-2">
                <VerdictMark verdict={figure.verdict} word={false} />
                <p>
                  <span className="font-semibold">{figure.label}:</span> {figure.words}
                </p>
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  )
}

/** An engine that does not fire on every cylinder. */
export function PlugBench({ engine }: { engine: Engine }) {
  const may = useMay()('take_reading')
  const { plugs } = engine
  if (!plugs)
    return may ? (
      <Begin
        engine={engine}
        words="It misses? Say its firing order; then each run, each plug and each change is told here, and what they are worth."
      />
    ) : (
      <p>Nobody looked at its cylinders yet.</p>
    )
  const step = plugs.next_step
  const forms = { engine, plugs }
  // What was typed for the step before is not this one's.
  const at = plugs.log.length
  return (
    <div className="grid gap-8 desk:grid-cols-[minmax(0,1.45fr)_minmax(0,1fr)] desk:gap-12">
      <div className="order-2 flex flex-col gap-6 desk:order-1">
        <CylinderRow plugs={plugs} />
        <Found plugs={plugs} />
        {may && (
          <details>
            <summary className="min-h-12 content-center font-label font-bold">
              Tell something else: a run, a plug, a figure, a change
            </summary>
            <div className="flex flex-col gap-5 py-3">
              <RunForm look="plain" {...forms} />
              <PlugForm key={`plug${at}`} {...forms} />
              <FigureForm key={`figure${at}`} {...forms} />
              <ChangeForm key={`change${at}`} {...forms} />
              <CoilAndHeat {...forms} />
            </div>
          </details>
        )}
        <Log lines={plugs.log} />
      </div>
      <div className="order-1 flex flex-col gap-8 desk:order-2">
        <NextThing words={step.words} cautions={step.cautions} kind={step.kind}>
          {may && step.kind !== 'done' && <StepAnswer key={at} {...forms} />}
        </NextThing>
        {plugs.to_shelf.length > 0 && (
          <section aria-labelledby="to-shelf">
            <h3 id="to-shelf" className="rule-below pb-1 text-lead">
              Made no difference
            </h3>
            <ul>
              {plugs.to_shelf.map((one) => (
                <Shelf key={one.change} engine={engine} one={one} />
              ))}
            </ul>
          </section>
        )}
        {may && (
          <details>
            <summary className="min-h-12 content-center font-label font-bold">Order {plugs.order}: begin anew</summary>
            <Begin engine={engine} words="What was told before stays readable, and does not count any more." />
          </details>
        )}
      </div>
    </div>
  )
}
