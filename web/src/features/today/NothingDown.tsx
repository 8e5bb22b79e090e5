import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { fleet } from '../../shared/api/units'
import { useMay } from '../../shared/session/session'

const FIRST_STEPS = [
  {
    words: 'Enter the first unit',
    why: 'Its number as painted, how its batteries stand, and the current it usually takes to crank: drops are judged by it.',
    path: '/units/new',
    action: 'edit_units',
  },
  {
    words: 'Add people and yards',
    why: 'Who measures, who reports, who leads; each yard with its own clock.',
    path: '/house-rules',
    action: 'manage_people',
  },
]

/** A fleet without units: what comes first. */
function EmptyFleet() {
  const may = useMay()
  const steps = FIRST_STEPS.filter((step) => may(step.action))
  if (steps.length === 0) return <p>No unit is entered yet. An electrician or the lead enters them.</p>
  return (
    <ol>
      {steps.map((step, index) => (
        <li key={step.path} className="rule-below">
          <Link
            to={step.path}
            className={`flex flex-col gap-1 py-4 no-underline ${index === 0 ? '-mx-4 bg-copper px-4 text-on-copper' : 'hover:bg-hair/40'}`}
          >
            <span className="link-words font-label text-lead font-bold">{step.words}</span>
            <span className={index === 0 ? '' : 'text-quiet'}>{step.why}</span>
          </Link>
        </li>
      ))}
    </ol>
  )
}

/** A quiet day is for the baseline; an empty fleet for its first unit. */
export function NothingDown() {
  const { data } = useQuery(fleet())
  if (!data) return null
  if (data.units.length === 0) return <EmptyFleet />
  return (
    <p>
      Nothing is down, nothing temporary, nothing owed. <Link to="/units">Choose a unit</Link> and test its batteries
      before the cold: later readings compare with that.
    </p>
  )
}
