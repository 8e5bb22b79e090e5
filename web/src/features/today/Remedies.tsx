import { useState } from 'react'
import { planEvening, type StartLine, type Tonight } from '../../shared/api/tonight'
import { glued } from '../../shared/quantities/glued'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { useWrite } from '../../shared/writes/useWrite'

interface Props {
  line: StartLine
  dawn: string
  may: boolean
}

const NOTHING = {}

/** One tick; without a network it shows what waits to be sent. */
function Tick({ line, dawn, may, one }: Props & { one: StartLine['remedies'][number] }) {
  const [waiting, setWaiting] = useState<boolean>()
  const plan = useWrite<object, Tonight>({
    name: `plan:${line.unit_id}:${dawn}:${one.key}`,
    empty: NOTHING,
    onSaved: () => {
      setWaiting(undefined)
    },
  })
  return (
    <>
      <label className="flex min-h-12 items-center gap-3 dense:min-h-9">
        <input
          type="checkbox"
          checked={(plan.error ? undefined : waiting) ?? one.planned}
          disabled={!may || plan.isPending}
          onChange={(event) => {
            const planned = event.target.checked
            setWaiting(planned)
            void plan.write(() => planEvening({ id: line.unit_id, name: line.unit }, { dawn, key: one.key, planned }))
          }}
        />
        <span>
          {one.words} <span className="text-quiet">{glued(`${one.degrees.toFixed(1)} °C, ${one.minutes} min`)}</span>
        </span>
      </label>
      <ErrorNote error={plan.error} />
    </>
  )
}

/** What can be done for a unit before the night: ticked, the list counts it. */
export function Remedies({ line, dawn, may }: Props) {
  if (line.remedies.length === 0) return null
  return (
    <fieldset className="flex flex-wrap gap-x-6">
      <legend className="sr-only">What will be done for {line.unit}</legend>
      {line.remedies.map((one) => (
        <Tick key={one.key} line={line} dawn={dawn} may={may} one={one} />
      ))}
    </fieldset>
  )
}
