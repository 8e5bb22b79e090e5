import { useQuery } from '@tanstack/react-query'
import { spokenTime } from '../../../shared/quantities/when'
import { useMay } from '../../../shared/session/session'
import { Button } from '../../../shared/ui/Button'
import { ErrorNote } from '../../../shared/ui/ErrorNote'
import { VerdictMark } from '../../../shared/ui/VerdictMark'
import { useWrite } from '../../../shared/writes/useWrite'
import { rule, unitCircuits, type UnitCircuits } from '../../../shared/api/circuits'
import { Shown } from '../../../shared/page/Shown'

const UNSAID = { choice: '', note: '' }

type Conflict = UnitCircuits['conflicts'][number]
type Ruling = NonNullable<Conflict['ruling']>

function Ruled({ ruling, timeZone }: { ruling: Ruling; timeZone: string }) {
  return (
    <p>
      <strong className="font-semibold">{ruling.choice}</strong>
      {ruling.note && `: ${ruling.note}`}{' '}
      <span className="text-quiet">
        {ruling.person}, {spokenTime(ruling.at, timeZone)}
      </span>
    </p>
  )
}

function RulingForm({ unitId, conflict }: { unitId: string; conflict: Conflict }) {
  const ruling = useWrite<typeof UNSAID, UnitCircuits>({ name: `ruling:${unitId}:${conflict.key}`, empty: UNSAID })
  const { choice, note } = ruling.value
  return (
    <form
      className="flex flex-col gap-2 pt-1"
      onSubmit={(event) => {
        event.preventDefault()
        void ruling.write((id) => rule(unitId, { id, conflict_key: conflict.key, choice, note }))
      }}
    >
      <fieldset>
        <legend className="sr-only">{conflict.words}</legend>
        {conflict.options.map((option) => (
          <label key={option} className="flex min-h-12 items-center gap-3 dense:min-h-9">
            <input
              type="radio"
              name={conflict.key}
              checked={choice === option}
              onChange={() => {
                ruling.change({ choice: option, note })
              }}
            />
            {option}
          </label>
        ))}
      </fieldset>
      <div className="flex flex-wrap items-end gap-3">
        <label className="min-w-40 flex-1">
          How it was seen
          <input
            value={note}
            onChange={(event) => {
              ruling.change({ choice, note: event.target.value })
            }}
          />
        </label>
        <Button type="submit" disabled={choice === '' || ruling.isPending}>
          Rule it so
        </Button>
      </div>
      <ErrorNote error={ruling.error} />
    </form>
  )
}

/** Where the drawings of this unit contradict themselves, and how it was ruled: local truth, with who said so. */
export function Conflicts({ unitId }: { unitId: string }) {
  const asked = useQuery(unitCircuits(unitId))
  const may = useMay()('edit_circuits')
  return (
    <Shown asked={asked} what="the conflicts">
      {(data) => {
        return (
          <div className="flex flex-col gap-4">
            <header>
              <h2 className="text-reading leading-tight">Conflicts and rulings</h2>
              <p className="text-quiet">
                {data.conflicts.length === 0
                  ? 'The drawings of this unit agree with each other.'
                  : 'The drawings contradict themselves here. Look at the machine, then rule.'}
              </p>
            </header>
            <ul>
              {data.conflicts.map((conflict) => (
                <li key={conflict.key} className="rule-below grid grid-cols-[1.5rem_1fr] gap-x-3 py-3">
                  <span className="pt-0.5">
                    <VerdictMark verdict={conflict.ruling ? 'sound' : 'unproven'} word={false} />
                  </span>
                  <div>
                    <p className="font-semibold">{conflict.words}</p>
                    <p className="text-quiet">
                      {conflict.kind}, {conflict.sheets.map((key) => key.replaceAll('_', ' ')).join(' and ')}
                    </p>
                    {conflict.ruling && <Ruled ruling={conflict.ruling} timeZone={data.time_zone} />}
                    {!conflict.ruling && may && <RulingForm unitId={unitId} conflict={conflict} />}
                  </div>
                </li>
              ))}
            </ul>
            {data.local_truth.length > 0 && (
              <section aria-label="Local truth">
                <h3 className="text-lead">Local truth</h3>
                {data.local_truth.map((ruling) => (
                  <div key={ruling.at} className="rule-below py-2">
                    <p className="text-quiet">{ruling.words}</p>
                    <Ruled ruling={ruling} timeZone={data.time_zone} />
                  </div>
                ))}
              </section>
            )}
          </div>
        )
      }}
    </Shown>
  )
}
