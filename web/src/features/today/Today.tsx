import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { glued } from '../../shared/quantities/glued'
import { spokenAge, spokenToday } from '../../shared/quantities/when'
import { VerdictMark } from '../../shared/ui/VerdictMark'
import { due } from '../../shared/api/due'
import { today } from '../../shared/api/today'
import { tonight } from '../../shared/api/tonight'
import { Fold } from '../../shared/ui/Fold'
import { useWide } from '../../shared/ui/useWide'
import { Waiting } from '../../shared/ui/Waiting'
import { DueWork } from './DueWork'
import { NothingDown } from './NothingDown'
import { Tonight } from './Tonight'
import { Shown } from '../../shared/page/Shown'
import { useTitle } from '../../shared/page/useTitle'
import { Pending } from '../../shared/unsent/Pending'

/** What there is of each kind; more than is listed here is looked through in its own list. */
const GROUPS = [
  { kind: 'held', title: 'Held', all: '/units?state=held' },
  { kind: 'down', title: 'Down', all: '/jobs' },
  { kind: 'temporary', title: 'Temporary repairs', all: '/units?state=temporary' },
  { kind: 'parked', title: 'Parked, something missing', all: '/jobs?state=parked' },
  { kind: 'watched', title: 'Watched', all: '/units?state=watched' },
  { kind: 'battery', title: 'Batteries to watch', all: '/units?state=batteries' },
] as const

type Line = NonNullable<ReturnType<typeof useToday>['data']>['lines'][number]

const useToday = () => useQuery(today())

function spokenSince(line: Line) {
  const age = spokenAge(line.since, line.time_zone)
  return age === 'today' ? 'since today' : `for ${age}`
}

function TodayLine({ line, first }: { line: Line; first: boolean }) {
  return (
    <li className="rule-below">
      <Link
        to={line.path}
        className={`group grid grid-cols-[auto_1fr] items-center gap-x-4 gap-y-1 py-3 no-underline desk:grid-cols-[7rem_15rem_1fr_auto] ${first ? '-mx-4 bg-copper px-4 text-on-copper' : 'hover:bg-hair/40'}`}
      >
        <span className={first ? '[&_span]:text-on-copper' : ''}>
          <VerdictMark verdict={line.verdict} />
        </span>
        <span className="font-label text-lead font-bold link-words">{line.unit}</span>
        <span className="col-span-2 desk:col-span-1">
          {glued(line.words)}
          <span className={`block ${first ? '' : 'text-quiet'}`}>
            {line.yard}, {spokenSince(line)}
          </span>
        </span>
        <span className="col-span-2 font-label font-bold underline decoration-2 underline-offset-4 desk:col-span-1">
          {line.action}
        </span>
      </Link>
    </li>
  )
}

/** What needs somebody today, a line a unit, by consequence; the first line is the next thing to do. */
export function Today() {
  const asked = useToday()
  const wide = useWide()
  // What comes late would push down what somebody is reading: all of it is shown at once.
  const late = [useQuery(tonight()), useQuery(due())].some((one) => one.isPending)
  useTitle('Today')
  return (
    <>
      <div className="pb-6 empty:hidden">
        <Pending />
      </div>
      <Shown asked={asked} what="today">
        {(data) => {
          if (late) return <Waiting what="tonight" />
          const firstKind = data.lines[0]?.kind
          return (
            <div>
              <h1 className="text-display leading-tight">Today</h1>
              <p className="pb-6 text-quiet">
                {spokenToday()}. {data.lines.length > 0 && 'By consequence: the filled line is the next thing to do.'}
              </p>
              <Tonight />
              {data.lines.length === 0 && <NothingDown />}
              {GROUPS.map(({ kind, title, all }) => {
                const lines = data.lines.filter((line) => line.kind === kind)
                return lines.length === 0 ? null : (
                  <Fold
                    key={kind}
                    id={`today-${kind}`}
                    title={title}
                    note={data.counts[kind]}
                    open={wide || kind === firstKind}
                  >
                    <ul>
                      {lines.map((line) => (
                        <TodayLine key={`${line.path}-${line.words}`} line={line} first={line === data.lines[0]} />
                      ))}
                    </ul>
                    {data.counts[kind] > lines.length && (
                      <Link to={all} className="inline-flex min-h-12 items-center font-label font-bold">
                        {data.counts[kind] - lines.length} more
                      </Link>
                    )}
                  </Fold>
                )
              })}
              <DueWork />
            </div>
          )
        }}
      </Shown>
    </>
  )
}
