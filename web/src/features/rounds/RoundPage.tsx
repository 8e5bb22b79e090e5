import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import { isRound, round as roundQuery, type Round } from '../../shared/api/rounds'
import { Shown } from '../../shared/page/Shown'
import { useTitle } from '../../shared/page/useTitle'
import { useMay } from '../../shared/session/session'
import { Button } from '../../shared/ui/Button'
import { StepPad } from './StepPad'
import { StepRead } from './StepRead'
import { StepRow } from './StepRow'
import { DriftLine, SessionLines } from './Together'

function Head({ data }: { data: Round }) {
  return (
    <header className="flex flex-col gap-2">
      <h1 className="text-display leading-tight">
        {data.label}{' '}
        <Link to={`/units/${data.unit.id}`} className="font-medium">
          {data.unit.number}
        </Link>
      </h1>
      <p className="text-quiet">{data.words}</p>
      <nav aria-label="Rounds" className="flex flex-wrap gap-x-6">
        {data.kinds.map((kind) => (
          <Link
            key={kind.key}
            to={`/units/${data.unit.id}/rounds/${kind.key}`}
            aria-current={kind.key === data.key ? 'page' : undefined}
            className="inline-flex min-h-12 items-center font-label font-bold aria-[current=page]:no-underline"
          >
            {kind.label}
          </Link>
        ))}
      </nav>
    </header>
  )
}

/** The step that is open: a pad, or what was read there. */
function Here({ data, at, onAt }: { data: Round; at: number; onAt: (next: number) => void }) {
  const may = useMay()('take_reading')
  const [seen, setSeen] = useState<string[]>([])
  const [again, setAgain] = useState<number | null>(null)
  const step = data.steps[at]
  if (data.steps.length === 0) return <p className="text-lead">This unit has nothing to read on this round.</p>
  if (!step) {
    const missing = data.steps.filter((one) => one.readings.length === 0).length
    return (
      <div className="flex flex-col items-start gap-3 bg-copper p-5 text-on-copper">
        <p className="text-lead">
          {missing === 0 ? 'The round is done.' : `The end of the round. ${missing} of ${data.steps.length} not read.`}
        </p>
        <Link to={`/units/${data.unit.id}`} className="font-label font-bold">
          Back to the unit
        </Link>
      </div>
    )
  }
  const next = () => {
    setAgain(null)
    onAt(at + 1)
  }
  if (step.readings.length > 0 && again !== at) {
    return (
      <div className="flex flex-col gap-4 border-2 border-hair p-4 desk:p-6">
        <h2 className="text-lead">
          {step.test.label}
          {step.position && `, battery ${step.position}`}
        </h2>
        <StepRead data={data} step={step} may={may} />
        <div className="flex flex-wrap gap-3">
          <Button look="main" onClick={next}>
            Next one
          </Button>
          {may && (
            <Button
              onClick={() => {
                setAgain(at)
              }}
            >
              Read it again
            </Button>
          )}
        </div>
      </div>
    )
  }
  if (!may) return <p className="text-quiet">Not read today.</p>
  return (
    <StepPad
      key={`${step.test.key}:${step.position ?? ''}`}
      data={data}
      step={step}
      seen={seen}
      onSeen={(ids) => {
        setSeen((before) => [...new Set([...before, ...ids])])
      }}
      onKept={next}
      onSkip={next}
    />
  )
}

/** A round of a unit: one step after the other, what each came to, what they say together. */
export function RoundPage() {
  const { id = '', kind = '' } = useParams()
  const asked = useQuery(roundQuery(id, isRound(kind) ? kind : 'charge'))
  // Where the round is stands in the address: a reload or a call in between does not begin it anew.
  const [params, setParams] = useSearchParams()
  useTitle(asked.data ? `${asked.data.label} ${asked.data.unit.number}` : '')
  return (
    <Shown asked={asked} what="the round">
      {(data) => {
        const open = data.steps.findIndex((step) => step.readings.length === 0)
        const at = params.has('at') ? Number(params.get('at')) : open === -1 ? data.steps.length : open
        const setAt = (next: number) => {
          setParams({ at: String(next) }, { replace: true })
        }
        return (
          <div className="flex flex-col gap-6">
            <Head data={data} />
            <div className="grid grid-cols-[minmax(0,1fr)] gap-8 desk:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)] desk:gap-12">
              <div className="contents desk:order-1 desk:flex desk:flex-col desk:gap-8">
                <section aria-label="Steps" className="order-2">
                  <ol className="rule-above">
                    {data.steps.map((step, index) => (
                      <StepRow
                        key={`${step.test.key}:${step.position ?? ''}`}
                        step={step}
                        here={index === at}
                        onGo={() => {
                          setAt(index)
                        }}
                      />
                    ))}
                  </ol>
                </section>
                <SessionLines data={data} />
              </div>
              <div className="contents desk:order-2 desk:flex desk:flex-col desk:gap-8">
                <Here data={data} at={at} onAt={setAt} />
                <DriftLine data={data} />
              </div>
            </div>
          </div>
        )
      }}
    </Shown>
  )
}
