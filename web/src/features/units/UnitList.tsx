import { useInfiniteQuery } from '@tanstack/react-query'
import { Link, useSearchParams } from 'react-router'
import { units, type UnitFilter } from '../../shared/api/units'
import { PageHead } from '../../shared/page/PageHead'
import { useTitle } from '../../shared/page/useTitle'
import { useMay } from '../../shared/session/session'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Waiting } from '../../shared/ui/Waiting'
import { UnitFilters } from './UnitFilters'
import { UnitRow } from './UnitRow'

const NAMES = ['yard', 'class', 'state', 'q'] as const

const filterOf = (params: URLSearchParams): UnitFilter =>
  Object.fromEntries(NAMES.flatMap((name) => (params.get(name) ? [[name, params.get(name)]] : [])))

function NewUnitLink() {
  return (
    <Link
      to="/units/new"
      className="inline-flex min-h-12 items-center border border-copper px-4 font-label font-bold text-copper no-underline hover:bg-copper hover:text-on-copper"
    >
      New unit
    </Link>
  )
}

/** Units by yard, narrowed to what is looked for. The address says to what, so that it can be kept and sent. */
export function UnitList() {
  useTitle('Units')
  const may = useMay()
  const [params, setParams] = useSearchParams()
  const filter = filterOf(params)
  const asked = useInfiniteQuery(units(filter))
  const { data, error, hasNextPage, isFetchingNextPage, fetchNextPage } = asked
  const first = data?.pages[0]
  const rows = data?.pages.flatMap((page) => page.units) ?? []
  const yards = [...new Set(rows.map((unit) => unit.yard))]
  const narrowed = NAMES.some((name) => filter[name])
  const narrow = (next: UnitFilter) => {
    setParams(Object.fromEntries(NAMES.flatMap((name) => (next[name] ? [[name, next[name]]] : []))), { replace: true })
  }
  return (
    <div>
      <PageHead
        title="Units"
        words={
          <span role="status">
            {first && `${first.count} ${filter.state === 'retired' ? 'retired' : 'in service'}, by yard.`}
          </span>
        }
      >
        {may('edit_units') && <NewUnitLink />}
      </PageHead>
      {!first && !error && <Waiting what="the units" />}
      <ErrorNote error={error} />
      {first && <UnitFilters page={first} filter={filter} onFilter={narrow} />}
      {first && rows.length === 0 && (
        <p>
          {narrowed
            ? 'No unit is so. Take back a yard, a class, a state or a word.'
            : 'No unit yet. “New unit” enters the first: its number, its batteries, its usual cranking current.'}
        </p>
      )}
      <div className="gap-x-12 desk:columns-2">
        {yards.map((yard) => (
          <section key={yard} aria-label={yard} className="pb-8">
            <h2 className="rule-below pb-1 text-lead">{yard}</h2>
            <ul>
              {rows
                .filter((unit) => unit.yard === yard)
                .map((unit) => (
                  <UnitRow key={unit.id} unit={unit} />
                ))}
            </ul>
          </section>
        ))}
      </div>
      {hasNextPage && (
        <Button className="mt-4" disabled={isFetchingNextPage} onClick={() => void fetchNextPage()}>
          Show the next hundred
        </Button>
      )}
    </div>
  )
}
