import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import { grounds as groundsQuery, type Grounds } from '../../shared/api/grounds'
import { Shown } from '../../shared/page/Shown'
import { useTitle } from '../../shared/page/useTitle'
import { glued } from '../../shared/quantities/glued'
import { useMay } from '../../shared/session/session'
import { Button } from '../../shared/ui/Button'
import { GroundRow } from './GroundRow'
import { SecondGround } from './SecondGround'
import { ServiceForm } from './ServiceForm'
import { OnToSister, Sisters } from './Sisters'

/** The walk: one ground after the other, the load left on, until the last. */
function Round({ data, at, onAt }: { data: Grounds; at: number; onAt: (next: number) => void }) {
  const [ampere, setAmpere] = useState('')
  const ground = data.grounds[at]
  if (!ground) {
    return (
      <div className="flex flex-col items-start gap-3 bg-copper p-5 text-on-copper">
        <p className="text-lead">The round is done.</p>
        <OnToSister data={data} />
        <Link to={`/units/${data.unit.id}`} className="inline-flex min-h-12 items-center font-label font-bold">
          Back to the unit
        </Link>
      </div>
    )
  }
  return (
    <div className="flex flex-col gap-4 border-2 border-copper p-4 desk:p-6">
      <p className="text-quiet">
        {at + 1} of {data.grounds.length}
        {ground.zone && `, ${ground.zone}`}
      </p>
      <h2 className="text-lead">{ground.label}</h2>
      <p>
        Leads on the two metals, {ground.read_while}.{' '}
        <span className="text-quiet">{ground.hangs.length > 0 && `On it: ${ground.hangs.join(', ')}.`}</span>
      </p>
      <ServiceForm
        key={ground.uuid}
        data={data}
        ground={ground}
        ampere={ampere}
        onKept={(flowed) => {
          setAmpere(flowed)
          onAt(at + 1)
        }}
        onSkip={() => {
          onAt(at + 1)
        }}
      />
    </div>
  )
}

/** The ground map of a unit, and the round along it. */
export function GroundsPage() {
  const { id = '' } = useParams()
  const asked = useQuery(groundsQuery(id))
  const may = useMay()('take_reading')
  // Where the round is stands in the address: a reload or a call in between does not begin it anew.
  const [params, setParams] = useSearchParams()
  const at = params.has('at') ? Number(params.get('at')) : null
  const setAt = (next: number) => {
    setParams({ at: String(next) }, { replace: true })
  }
  useTitle(asked.data ? `Grounds of ${asked.data.unit.number}` : '')
  return (
    <Shown asked={asked} what="the grounds">
      {(data) => {
        const due = data.grounds.filter((ground) => ground.due).length
        const zones = data.time_zone
        return (
          <div className="flex flex-col gap-6">
            <header>
              <h1 className="text-display leading-tight">
                Grounds{' '}
                <Link to={`/units/${data.unit.id}`} className="font-medium">
                  {data.unit.number}
                </Link>
              </h1>
              <p className="text-quiet">
                {glued(`${data.grounds.length} in the order of a walk, ${data.minutes} min for all. ${due} due.`)}{' '}
                Several odd things at once? <Link to={`/circuits/${data.unit.id}?ask=cause`}>Ask what they share</Link>
              </p>
            </header>
            <div className="grid gap-8 desk:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)] desk:grid-rows-[auto_1fr] desk:gap-x-12">
              <section aria-label="In the order of the walk" className="order-2 desk:order-1 desk:row-span-2">
                <ol className="rule-above">
                  {data.grounds.map((ground, index) => (
                    <GroundRow
                      key={ground.uuid}
                      ground={ground}
                      zone={zones}
                      here={index === at}
                      onGo={() => {
                        if (may) setAt(index)
                      }}
                    />
                  ))}
                </ol>
              </section>
              <section aria-label="Round" className="order-1 flex flex-col gap-4 desk:order-2">
                {at === null && may && data.grounds.length > 0 && (
                  <div className="flex flex-col items-start gap-3 bg-copper p-5 text-on-copper">
                    <p className="text-lead">
                      Read each before and after at the same two points. What the drop comes to in milliohms is kept.
                    </p>
                    <Button
                      look="filled"
                      onClick={() => {
                        setAt(0)
                      }}
                    >
                      Start the round
                    </Button>
                  </div>
                )}
                {at !== null && <Round data={data} at={at} onAt={setAt} />}
                {data.cautions.map((caution) => (
                  <p key={caution} className="border-l-4 border-act pl-4">
                    {caution}
                  </p>
                ))}
              </section>
              {at === null && (
                <div className="order-3 flex flex-col gap-8 desk:col-start-2">
                  <Sisters data={data} />
                  <SecondGround data={data} />
                </div>
              )}
            </div>
          </div>
        )
      }}
    </Shown>
  )
}
