import { useQuery } from '@tanstack/react-query'
import { Link, useParams, useSearchParams } from 'react-router'
import { trace as traceQuery, traces as tracesQuery, type TraceLine, type Traces } from '../../shared/api/traces'
import { Shown } from '../../shared/page/Shown'
import { useTitle } from '../../shared/page/useTitle'
import { glued } from '../../shared/quantities/glued'
import { spokenDay } from '../../shared/quantities/when'
import { useMay } from '../../shared/session/session'
import { VerdictMark } from '../../shared/ui/VerdictMark'
import { BringInTrace } from './BringInTrace'
import { Compression } from './Compression'
import { TraceChart } from './TraceChart'
import { TraceFigures, TraceVerdicts } from './TraceWords'

const IN_A_LINE = ['settled_volt', 'settled_ampere', 'rpm']

function Row({ line, zone, here }: { line: TraceLine; zone: string; here: boolean }) {
  const figures = line.figures.filter((one) => IN_A_LINE.includes(one.key)).map((one) => one.spoken)
  return (
    <li className={`rule-below ${here ? 'bg-hair/40' : ''}`}>
      <Link
        to={`?trace=${line.id}`}
        replace
        aria-current={here ? 'true' : undefined}
        className="grid min-h-12 grid-cols-[1.5rem_6rem_1fr] items-baseline gap-x-3 py-2 no-underline"
      >
        <VerdictMark verdict={line.verdict} word={false} />
        <span className="link-words font-label font-bold">{spokenDay(line.taken_at, zone)}</span>
        <span>
          {glued(figures.join(', '))}
          {line.celsius !== null && <span className="text-quiet"> {glued(`at ${line.celsius} °C`)}</span>}
        </span>
      </Link>
    </li>
  )
}

function Drawn({ id }: { id: string }) {
  const asked = useQuery(traceQuery(id))
  return (
    <Shown asked={asked} what="the trace">
      {(data) => (
        <>
          <TraceChart trace={data} />
          <TraceVerdicts trace={data} />
        </>
      )}
    </Shown>
  )
}

function Figures({ id, zone }: { id: string; zone: string }) {
  const { data } = useQuery(traceQuery(id))
  if (!data) return null
  return (
    <div className="order-1 flex flex-col gap-8 desk:order-2">
      <TraceFigures trace={data} zone={zone} />
      {data.shares && <Compression shares={data.shares} />}
    </div>
  )
}

function List({ data, chosen }: { data: Traces; chosen: string | undefined }) {
  if (data.traces.length === 0) return null
  return (
    <section aria-labelledby="traces">
      <h2 id="traces" className="rule-below pb-1 text-lead">
        Its traces
      </h2>
      <ol>
        {data.traces.map((line) => (
          <Row key={line.id} line={line} zone={data.time_zone} here={line.id === chosen} />
        ))}
      </ol>
    </section>
  )
}

/** Crank traces of a unit: the curve with what was found in it, beside its last sound start. */
export function TracesPage() {
  const { id = '' } = useParams()
  const asked = useQuery(tracesQuery(id))
  const may = useMay()('take_reading')
  const [params, setParams] = useSearchParams()
  useTitle(asked.data ? `Crank traces of ${asked.data.unit.number}` : '')
  return (
    <Shown asked={asked} what="the traces">
      {(data) => {
        const chosen = params.get('trace') ?? data.traces[0]?.id
        return (
          <div className="flex flex-col gap-6">
            <header>
              <h1 className="text-display leading-tight">
                Crank traces{' '}
                <Link to={`/units/${data.unit.id}`} className="font-medium">
                  {data.unit.number}
                </Link>
              </h1>
              <p className="text-quiet">
                A start as scope or logger wrote it. What it settles at is kept as readings of a crank round, and the
                cold-start forecast goes by it.
              </p>
            </header>
            <div className="grid gap-8 desk:grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)] desk:gap-x-12">
              <div className="flex flex-col gap-6">
                {chosen ? <Drawn id={chosen} /> : <p className="text-quiet">No trace of it yet.</p>}
              </div>
              <div className="flex flex-col gap-8">
                <div className="order-2 flex flex-col gap-8 desk:order-1">
                  {may && (
                    <BringInTrace
                      data={data}
                      onKept={(kept) => {
                        setParams({ trace: kept }, { replace: true })
                      }}
                    />
                  )}
                  <List data={data} chosen={chosen} />
                </div>
                {chosen && <Figures id={chosen} zone={data.time_zone} />}
              </div>
            </div>
          </div>
        )
      }}
    </Shown>
  )
}
