import { Link } from 'react-router'
import type { Engine, KillSearch } from '../../../shared/api/engines'
import { useMay } from '../../../shared/session/session'
import { Button } from '../../../shared/ui/Button'
import { ErrorNote } from '../../../shared/ui/ErrorNote'
import { VerdictMark } from '../../../shared/ui/VerdictMark'
import { Log } from '../Log'
import { NextThing } from '../NextThing'
import { useTell } from '../useTell'
import { KillAnswers } from './KillAnswers'
import { StudDrawing } from './StudDrawing'

const NOTHING = {}
type Interlock = KillSearch['interlocks'][number]

const MARK: Record<Interlock['state'], 'unproven' | 'sound' | 'act'> = {
  open: 'unproven',
  proved: 'sound',
  ran_on: 'act',
  skipped: 'unproven',
}
const STATE: Record<Interlock['state'], string> = {
  open: 'not seen since it went together',
  proved: 'seen to stop it',
  ran_on: 'ran on',
  skipped: 'not tried',
}

function Interlocks({ kill }: { kill: KillSearch }) {
  return (
    <section aria-labelledby="interlocks">
      <h3 id="interlocks" className="rule-below pb-1 text-lead">
        What has to stop it
      </h3>
      <ul>
        {kill.interlocks.map((one) => (
          <li key={one.key} className="rule-below grid grid-cols-[1.5rem_1fr] items-center gap-x-3 py-2">
            <VerdictMark verdict={MARK[one.state]} word={false} />
            <p>
              <span className="font-semibold">{one.label}</span>{' '}
              <span className="text-quiet">
                {STATE[one.state]}
                {one.words && `: ${one.words}`}
              </span>
            </p>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** A search begins anew: what was seen before it does not count any more. */
function Begin({ engine, kill }: { engine: Engine; kill: KillSearch }) {
  const { tell, error, isPending } = useTell(engine, `begin:${kill.device}`, NOTHING)
  return (
    <>
      <Button
        disabled={isPending}
        className="self-start"
        onClick={() => {
          void tell({ craft: 'kill', kind: 'begun', sheet: kill.sheet, device: kill.device }, 'a search begun')
        }}
      >
        {kill.proved ? 'No spark again: begin a search' : 'Begin the search anew'}
      </Button>
      <ErrorNote error={error} />
    </>
  )
}

/** A magneto without a spark: the stud drawn, the next thing to do, what has to stop it, and what was done. */
export function KillBench({ engine, kill }: { engine: Engine; kill: KillSearch }) {
  const may = useMay()('take_reading')
  const step = kill.next_step
  return (
    <div className="grid gap-8 desk:grid-cols-[minmax(0,1.45fr)_minmax(0,1fr)] desk:gap-12">
      <div className="order-2 flex flex-col gap-6 desk:order-1">
        <section aria-label="Common stud" className="flex flex-col gap-3">
          <StudDrawing kill={kill} />
          <Link to={`/circuits/${kill.sheet}`} className="min-h-12 content-center self-start font-label font-bold">
            {kill.title}, drawn
          </Link>
        </section>
        <section aria-labelledby="together">
          <h3 id="together" className="rule-below pb-1 text-lead">
            Goes together with a spark after each
          </h3>
          <ol>
            {kill.stages.map((stage) => (
              <li key={stage.key} className="rule-below flex gap-3 py-2">
                <VerdictMark verdict={stage.done ? 'sound' : 'unproven'} word={false} />
                {stage.label}
              </li>
            ))}
          </ol>
          {kill.lost_at && <p className="pt-2 font-semibold text-act">The spark was lost at: {kill.lost_at}</p>}
        </section>
        <Log lines={kill.log} />
      </div>
      <div className="order-1 flex flex-col gap-8 desk:order-2">
        <NextThing words={step.words} cautions={step.cautions} expect={step.expect} kind={step.kind}>
          {may && step.kind !== 'done' && <KillAnswers engine={engine} kill={kill} />}
        </NextThing>
        <Interlocks kill={kill} />
        {may && kill.log.length > 0 && <Begin engine={engine} kill={kill} />}
      </div>
    </div>
  )
}
