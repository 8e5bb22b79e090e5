import { useInfiniteQuery } from '@tanstack/react-query'
import { Link, useSearchParams } from 'react-router'
import { boardFile, units, type UnitFilter } from '../../shared/api/units'
import { PageHead } from '../../shared/page/PageHead'
import { useTitle } from '../../shared/page/useTitle'
import { useMay } from '../../shared/session/session'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { useWide } from '../../shared/ui/useWide'
import { Waiting } from '../../shared/ui/Waiting'
import { UnitFilters } from './UnitFilters'
import { Board } from './board/Board'
import { ORDERS, type Order } from './board/orders'
import { PhoneBoard } from './board/PhoneBoard'

const NAMES = ['yard', 'class', 'state', 'q', 'order'] as const

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

/** The board, narrowed to what is looked for. The address says to what and in which order, so that it can be kept and sent. */
export function UnitList() {
  useTitle('Units')
  const may = useMay()
  const [params, setParams] = useSearchParams()
  const filter = filterOf(params)
  const asked = useInfiniteQuery(units(filter))
  const { data, error, hasNextPage, isFetchingNextPage, fetchNextPage } = asked
  const first = data?.pages[0]
  const rows = data?.pages.flatMap((page) => page.units) ?? []
  const order: Order = filter.order ?? 'yard'
  const wide = useWide()
  const narrowed = NAMES.some((name) => name !== 'order' && filter[name])
  const narrow = (next: UnitFilter) => {
    setParams(
      Object.fromEntries(
        NAMES.flatMap((name) =>
          next[name] && !(name === 'order' && next[name] === 'yard') ? [[name, next[name]]] : [],
        ),
      ),
      { replace: true },
    )
  }
  return (
    <div>
      <PageHead
        title="Units"
        words={
          <span role="status">
            {first &&
              `${first.count} ${filter.state === 'retired' ? 'retired' : 'in service'}. ${order === 'yard' ? 'By yard and number' : `${ORDERS[order]} first`}.`}
          </span>
        }
      >
        <div className="flex flex-wrap items-center gap-x-6">
          <a href={boardFile(filter)} download className="inline-flex min-h-12 items-center print:hidden">
            This list as CSV
          </a>
          {may('edit_units') && <NewUnitLink />}
        </div>
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
      {rows.length > 0 &&
        (wide ? (
          <Board
            rows={rows}
            order={order}
            onOrder={(next) => {
              narrow({ ...filter, order: next })
            }}
          />
        ) : (
          <PhoneBoard rows={rows} byYard={order === 'yard'} />
        ))}
      {hasNextPage && (
        <Button className="mt-4" disabled={isFetchingNextPage} onClick={() => void fetchNextPage()}>
          Show the next hundred
        </Button>
      )}
    </div>
  )
}
