import { useQuery } from '@tanstack/react-query'
import { useCallback, useMemo } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import { jobDrawing, type JobDrawing } from '../../../shared/api/jobs'
import type { PicturePart } from '../../../shared/api/drawing'
import { Beside } from '../../../shared/drawing/Beside'
import { Pictures } from '../../../shared/drawing/Pictures'
import { Shown } from '../../../shared/page/Shown'
import { useTitle } from '../../../shared/page/useTitle'
import { Waiting } from '../../../shared/ui/Waiting'
import { AtPin } from './AtPin'
import { looksOf } from './looks'
import { OnThisSheet } from './OnThisSheet'

const nothing = () => undefined

function Drawn({ data, pin, onPin }: { data: JobDrawing; pin: string | null; onPin: (pin: string | null) => void }) {
  const looks = useMemo(() => looksOf(data), [data])
  const chosen = useMemo(() => ({ pin, wire: null, part: null }), [pin])
  const onPart = useCallback(
    (part: PicturePart) => {
      const first = part.pins[0]
      if (first) onPin(first.pin)
    },
    [onPin],
  )
  if (data.before !== null)
    return <Waiting what={data.before > 0 ? `the drawing, after ${data.before} others` : 'the drawing'} />
  if (data.pictures.length === 0)
    return (
      <p role="status" className="border-l-4 border-watch pl-4">
        There is no drawing of it: {data.problem}. The job’s way and its readings are all on the job.
      </p>
    )
  return (
    <Pictures
      pictures={data.pictures}
      title={data.sheets.find((one) => one.key === data.sheet)?.title ?? ''}
      {...{ looks, chosen, onPin, onPart }}
      onWire={nothing}
      onZone={() => {
        onPin(null)
      }}
      tools={null}
      help="Tap a pin to see what was read there, and to measure there."
      below={(spot) => (
        <p aria-live="polite" className="min-h-6 text-lead">
          {spot?.port.pin}
        </p>
      )}
    />
  )
}

/** A job on a sheet of its unit's circuit: what was read stands at its pins, who is suspected is ringed. */
export function JobDrawingPage() {
  const { id = '' } = useParams()
  const [params, setParams] = useSearchParams()
  const sheet = params.get('sheet')
  const pin = params.get('pin')
  const asked = useQuery(jobDrawing(id, sheet))
  useTitle(asked.data ? `Job ${asked.data.job.number} on the drawing` : '')
  const onPin = useCallback(
    (next: string | null) => {
      setParams({ ...(sheet === null ? {} : { sheet }), ...(next === null ? {} : { pin: next }) }, { replace: true })
    },
    [sheet, setParams],
  )
  return (
    <Shown asked={asked} what="the job on its drawing">
      {(data) => (
        <div className="flex flex-col gap-5">
          <header className="rule-below flex flex-col gap-3 pb-3">
            <h1 className="text-reading leading-tight desk:text-display">
              <Link to={`/jobs/${id}`}>Job {data.job.number}</Link>{' '}
              <span className="font-medium">
                <Link to={`/units/${data.job.unit.id}`}>{data.job.unit.number}</Link> on the drawing
              </span>
            </h1>
            {data.sheets.length > 1 && (
              <label className="flex flex-wrap items-center gap-3">
                <span className="font-bold">Sheet</span>
                <select
                  className="w-auto max-w-full"
                  value={data.sheet ?? ''}
                  onChange={(event) => {
                    setParams({ sheet: event.target.value }, { replace: true })
                  }}
                >
                  {data.sheets.map((one) => (
                    <option key={one.key} value={one.key}>
                      {one.title}
                      {one.about && ', what it is about'}
                    </option>
                  ))}
                </select>
              </label>
            )}
          </header>
          <Beside drawn={data.pictures.length > 0} drawing={<Drawn data={data} pin={pin} onPin={onPin} />}>
            <div className="flex min-w-0 flex-col gap-6">
              {pin !== null && <AtPin data={data} pin={pin} />}
              <OnThisSheet data={data} onPin={onPin} />
            </div>
          </Beside>
        </div>
      )}
    </Shown>
  )
}
