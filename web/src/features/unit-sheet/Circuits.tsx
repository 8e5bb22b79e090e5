import { Link } from 'react-router'
import type { UnitSheet } from '../../shared/api/types'
import { useMay } from '../../shared/session/session'
import { FitSheet } from './FitSheet'

/** The circuit sheets that this unit has. */
export function Circuits({ sheet }: { sheet: UnitSheet }) {
  const may = useMay()('edit_circuits') && !sheet.retired
  return (
    <section aria-labelledby="circuits">
      <h2 id="circuits" className="rule-below pb-1 text-lead">
        Circuits
      </h2>
      <ul>
        <li className="rule-below">
          <Link to={`/circuits/${sheet.id}`} className="flex min-h-12 items-center font-semibold dense:min-h-9">
            The whole unit
          </Link>
        </li>
        {sheet.circuits.map((line) => (
          <li key={line.id} className="rule-below">
            <Link
              to={`/circuits/${line.id}`}
              className="flex min-h-12 items-center justify-between gap-4 no-underline dense:min-h-9"
            >
              <span className="link-words">{line.title}</span>
              <span className="flex-none text-quiet">
                {line.n > 1 && `version ${line.n}`}
                {line.overridden > 0 && ` ${line.overridden} of its own`}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      {may && <FitSheet unit={sheet} />}
    </section>
  )
}
