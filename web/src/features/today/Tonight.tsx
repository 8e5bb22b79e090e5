import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { sayMornings, tonight, type Night, type StartLine, type Tonight as Told } from '../../shared/api/tonight'
import { Shown } from '../../shared/page/Shown'
import { spokenDate } from '../../shared/quantities/when'
import { useMay } from '../../shared/session/session'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { useWide } from '../../shared/ui/useWide'
import { useWrite } from '../../shared/writes/useWrite'
import { MinutesLeft } from './MinutesLeft'
import { NightField } from './NightField'
import { StartRow } from './StartRow'

const NOTHING = {}
/** On a phone, at first. */
const FEW = 3

/** How good the list has been; it says so when it is young. */
function Earned({ record }: { record: Told['record'] }) {
  if (record.named === 0 && record.failed === 0) return null
  return (
    <p className="pt-3 text-quiet">
      Named at over half in two months: {record.named}, of these {record.named_failed} failed. Of {record.failed}{' '}
      failures {record.named_failed} were on the list.{record.young && ' This list is young: tell it the mornings.'}
    </p>
  )
}

/** All that were not told of one by one started. */
function TheRest({ told, dawn }: { told: Told; dawn: string }) {
  const say = useWrite<object, Told>({ name: `mornings:${dawn}`, empty: NOTHING })
  const yards = new Set(told.nights.filter((night) => night.dawn === dawn).map((night) => night.yard_id))
  const untold = told.lines.filter((line) => line.outcome === null && yards.has(line.yard_id))
  if (untold.length === 0) return null
  return (
    <div className="flex flex-col gap-2 pt-3">
      <Button
        className="self-start"
        disabled={say.isPending}
        onClick={() => {
          const entries = untold.map((line) => ({ unit_id: line.unit_id, outcome: 'started' as const }))
          void say.write(() => sayMornings(dawn, entries, `${entries.length} units started`))
        }}
      >
        The other {untold.length} of this list started
      </Button>
      <ErrorNote error={say.error} />
    </div>
  )
}

function NothingNamed({ told }: { told: Told }) {
  if (told.nights.every((night) => night.low_celsius === null)) {
    return <p>Type how cold it gets tonight: the list follows from it.</p>
  }
  return <p>At these temperatures every unit is expected to start.</p>
}

/** The least likely to start; on a phone the first three, the others a tap away. */
function Rows({ lines, nightOf }: { lines: StartLine[]; nightOf: (line: StartLine) => Night | undefined }) {
  const wide = useWide()
  const [all, setAll] = useState(false)
  const shown = wide || all ? lines : lines.slice(0, FEW)
  return (
    <>
      <ul>
        {shown.map((line) => (
          <StartRow key={line.unit_id} line={line} night={nightOf(line)} />
        ))}
      </ul>
      {shown.length < lines.length && (
        <Button
          look="quiet"
          onClick={() => {
            setAll(true)
          }}
        >
          {lines.length - shown.length} more of these
        </Button>
      )}
    </>
  )
}

/** What will not start tonight, the least likely first; until noon, how it went this morning. */
export function Tonight() {
  const asked = useQuery(tonight())
  const may = useMay()('say_morning')
  return (
    <Shown asked={asked} what="tonight">
      {(told) => {
        const nightOf = (line: StartLine) => told.nights.find((night) => night.yard_id === line.yard_id)
        const first = told.nights.find((night) => night.morning) ?? told.nights[0]
        return (
          <section aria-labelledby="tonight" className="pb-8">
            <h2 id="tonight" className="rule-below pb-1 text-lead">
              {first?.morning ? 'How did they start this morning?' : 'May not start tonight'}{' '}
              <span className="text-quiet">{told.lines.length}</span>
            </h2>
            <div className="grid grid-cols-[repeat(auto-fit,minmax(9rem,1fr))] gap-x-6 gap-y-4 py-4">
              {told.nights.map((night) => (
                <NightField key={`${night.yard_id}-${night.dawn}-${night.said_at}`} night={night} />
              ))}
            </div>
            {told.lines.length > 0 && (
              <p className="pb-2">
                <Link to="/tonight" className="inline-block min-h-12 py-3 dense:min-h-9 dense:py-2">
                  Drawn on one scale
                </Link>
              </p>
            )}
            {told.lines.length === 0 && <NothingNamed told={told} />}
            <Rows lines={told.lines} nightOf={nightOf} />
            {first?.morning && may && <TheRest told={told} dawn={first.dawn} />}
            {!first?.morning && may && told.lines.length > 0 && <MinutesLeft told={told} />}
            {told.plan.minutes > 0 && (
              <p role="status" className="pt-3 font-semibold">
                Ticked: {told.plan.minutes} min. Expected not to start: {told.plan.failing} of these as they stand,{' '}
                {told.plan.failing_planned} with that done.
              </p>
            )}
            {told.plan.cautions.map((caution) => (
              <p key={caution} className="mt-2 border-l-4 border-act pl-4">
                {caution}
              </p>
            ))}
            <Earned record={told.record} />
            {told.others > 0 && first && (
              <p className="text-quiet">
                {told.others === 1 ? 'The other unit is' : `The other ${told.others} units are`} expected to start: less
                than one failure in thirty mornings. Lows for the dawn of {spokenDate(first.dawn)}.
              </p>
            )}
          </section>
        )
      }}
    </Shown>
  )
}
