import { Fragment } from 'react'
import { Link } from 'react-router'
import type { BoardLine } from '../../../shared/api/types'
import { FACTS, openWords } from '../../../shared/board/facts'
import { FactCell } from '../../../shared/board/FactCell'
import { VerdictMark } from '../../../shared/ui/VerdictMark'
import type { Order } from './orders'

interface Props {
  rows: BoardLine[]
  order: Order
  onOrder: (order: Order) => void
}

/** A column's name, which puts the worst of it first. */
function Head({ title, by, order, onOrder }: { title: string; by: Order } & Omit<Props, 'rows'>) {
  const here = order === by
  return (
    <th scope="col" aria-sort={here ? 'ascending' : undefined} className="py-1 pr-3 align-bottom">
      <button
        type="button"
        className={`min-h-12 text-left font-bold dense:min-h-9 ${here ? 'underline decoration-copper decoration-4 underline-offset-8' : 'link-words'}`}
        onClick={() => {
          onOrder(here ? 'yard' : by)
        }}
      >
        {title}
      </button>
    </th>
  )
}

function Row({ unit, yard }: { unit: BoardLine; yard: boolean }) {
  const open = openWords(unit.standing)
  return (
    <tr className="rule-below align-top hover:bg-hair/40">
      <th scope="row" className="py-2 pr-3 text-left font-normal">
        <Link to={`/units/${unit.id}`} className="inline-flex min-h-9 items-center font-label text-lead font-bold">
          {unit.number}
        </Link>
        <span className="block">{unit.name}</span>
        {yard && <span className="block text-quiet">{unit.yard}</span>}
      </th>
      {FACTS.map((fact) => (
        <td key={fact.key} className="py-2 pr-3">
          <FactCell fact={fact} standing={unit.standing} />
        </td>
      ))}
      <td className="py-2">
        {open.map((words) => (
          <span key={words} className="flex items-center gap-1.5">
            {words === 'held' && <VerdictMark verdict="act" word={false} />}
            {words}
          </span>
        ))}
      </td>
    </tr>
  )
}

/** The fleet, a line a unit: columns are read downwards, each drawn to one scale, and any of them puts its worst first. */
export function Board({ rows, order, onOrder }: Props) {
  const byYard = order === 'yard'
  return (
    <table className="w-full border-collapse text-left">
      <thead className="rule-below">
        <tr>
          <Head title="Unit" by="consequence" order={order} onOrder={onOrder} />
          {FACTS.map((fact) => (
            <Head key={fact.key} title={fact.title} by={fact.key} order={order} onOrder={onOrder} />
          ))}
          <th scope="col" className="py-1 align-bottom">
            <span className="flex min-h-12 items-center dense:min-h-9">Open</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((unit, at) => (
          <Fragment key={unit.id}>
            {byYard && rows[at - 1]?.yard !== unit.yard && (
              <tr>
                <th scope="colgroup" colSpan={FACTS.length + 2} className="pt-6 pb-1 text-left text-lead">
                  {unit.yard}
                </th>
              </tr>
            )}
            <Row unit={unit} yard={!byYard} />
          </Fragment>
        ))}
      </tbody>
    </table>
  )
}
