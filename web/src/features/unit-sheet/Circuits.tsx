import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import type { UnitSheet } from '../../shared/api/types'
import { fitAsSisters, type UnitCircuits } from '../../shared/api/circuits'
import { sisterFacts } from '../../shared/api/units'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { useWrite } from '../../shared/writes/useWrite'
import { useMay } from '../../shared/session/session'
import { FitSheet } from './FitSheet'

const NOTHING = {}

/** Sheets that most of its sisters have and it lacks, fitted in one go. */
function AsSisters({ sheet }: { sheet: UnitSheet }) {
  const { data } = useQuery(sisterFacts(sheet.make, sheet.model, sheet.id))
  const fitting = useWrite<object, UnitCircuits>({ name: `as-sisters:${sheet.id}`, empty: NOTHING })
  const missing = data?.sheets ?? []
  if (missing.length === 0) return null
  return (
    <div className="flex flex-col items-start gap-2 py-2">
      <p>
        Sister units have: <span className="font-semibold">{missing.map((one) => one.title).join(', ')}</span>
      </p>
      <Button
        disabled={fitting.isPending}
        onClick={() => {
          void fitting.write(() => fitAsSisters(sheet))
        }}
      >
        Fit what they have
      </Button>
      <ErrorNote error={fitting.error} />
    </div>
  )
}

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
        <li className="rule-below">
          <Link to={`/units/${sheet.id}/engine`} className="flex min-h-12 items-center dense:min-h-9">
            Spark, gauges, kept figures
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
      {sheet.circuits.length > 0 && (
        <a href={`/api/units/${sheet.id}/book.pdf`} download className="inline-flex min-h-12 items-center print:hidden">
          All of them as a book to print
        </a>
      )}
      {may && <AsSisters sheet={sheet} />}
      {may && <FitSheet unit={sheet} />}
    </section>
  )
}
