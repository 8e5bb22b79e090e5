import { useInfiniteQuery } from '@tanstack/react-query'
import { useId, useState } from 'react'
import { Link } from 'react-router'
import { timeline, type TimelineEntry } from '../../shared/api/timeline'
import type { UnitSheet } from '../../shared/api/types'
import { glued } from '../../shared/quantities/glued'
import { spokenTime } from '../../shared/quantities/when'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { VerdictMark } from '../../shared/ui/VerdictMark'
import { Waiting } from '../../shared/ui/Waiting'
import { Pending } from '../../shared/unsent/Pending'
import { VisitReadings } from './Visit'

function Words({ entry, zone }: { entry: TimelineEntry; zone: string }) {
  return (
    <>
      <span className="text-quiet">{spokenTime(entry.at, zone)}</span>
      <span className="col-start-2 min-w-0 @min-[18rem]:col-start-auto">
        <span className="font-semibold">{entry.title}</span>
        {entry.said && `: ${entry.said}`}
        {entry.text && <span className="block">{glued(entry.text)}</span>}
      </span>
    </>
  )
}

const ROW =
  'grid grid-cols-[1.5rem_minmax(0,1fr)] items-baseline gap-x-3 @min-[18rem]:grid-cols-[1.5rem_6rem_minmax(0,1fr)]'

/** Readings of one day and job: what they came to in a line, opened to each of them. */
function VisitEntry({ unit, entry }: { unit: UnitSheet; entry: TimelineEntry }) {
  const [open, setOpen] = useState(false)
  const id = useId()
  return (
    <li className="rule-below py-2">
      <button
        type="button"
        aria-expanded={open}
        aria-controls={id}
        className="grid min-h-12 w-full grid-cols-[1fr_auto] items-baseline gap-x-3 text-left font-figure hover:bg-hair/40 dense:min-h-9"
        onClick={() => {
          setOpen(!open)
        }}
      >
        <span className={ROW}>
          <span>{entry.verdict && <VerdictMark verdict={entry.verdict} word={false} />}</span>
          <Words entry={entry} zone={unit.time_zone} />
        </span>
        <span className="flex items-baseline gap-2 text-quiet">
          {entry.count} <span className="sr-only">readings</span>
          <span aria-hidden="true">{open ? '−' : '+'}</span>
        </span>
      </button>
      <div id={id} className="pl-9">
        {open && (
          <>
            {entry.job_id && (
              <Link
                to={`/jobs/${entry.job_id}`}
                className="inline-flex min-h-12 items-center font-label font-bold dense:min-h-9"
              >
                To the job
              </Link>
            )}
            <VisitReadings unit={unit} entry={entry} />
          </>
        )}
      </div>
    </li>
  )
}

function EventEntry({ unit, entry }: { unit: UnitSheet; entry: TimelineEntry }) {
  const words = <Words entry={entry} zone={unit.time_zone} />
  return (
    <li className="rule-below py-2">
      {entry.job_id ? (
        <Link to={`/jobs/${entry.job_id}`} className={`${ROW} no-underline hover:bg-hair/40`}>
          <span />
          {words}
        </Link>
      ) : (
        <p className={ROW}>
          <span />
          {words}
        </p>
      )}
    </li>
  )
}

/** Visits, jobs, repairs and batteries that came and went on one line of time, newest first. */
export function Timeline({ sheet }: { sheet: UnitSheet }) {
  const { data, error, hasNextPage, isFetchingNextPage, fetchNextPage } = useInfiniteQuery(timeline(sheet.id))
  const entries = data?.pages.flatMap((page) => page.entries) ?? []
  return (
    <section aria-labelledby="timeline" className="@container">
      <div className="rule-below flex items-baseline justify-between pb-1">
        <h2 id="timeline" className="text-lead">
          Timeline
        </h2>
        <a href={`/api/units/${sheet.id}/readings.csv`} download className="font-label">
          All readings as CSV
        </a>
      </div>
      <Pending on={sheet.id} />
      {!data && !error && <Waiting what="the timeline" />}
      <ErrorNote error={error} />
      {data && !entries.some((entry) => entry.kind === 'visit') && (
        <p className="py-4">
          Nothing measured yet. Test its batteries once while it is sound: later readings compare with that.
        </p>
      )}
      <ol>
        {entries.map((entry) =>
          entry.kind === 'visit' ? (
            <VisitEntry key={`${entry.job_id ?? 'round'}-${entry.day ?? ''}`} unit={sheet} entry={entry} />
          ) : (
            <EventEntry key={`${entry.kind}-${entry.at}-${entry.title}`} unit={sheet} entry={entry} />
          ),
        )}
      </ol>
      {hasNextPage && (
        <Button className="mt-4" disabled={isFetchingNextPage} onClick={() => void fetchNextPage()}>
          Show what was before
        </Button>
      )}
    </section>
  )
}
