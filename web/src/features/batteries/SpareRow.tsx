import { Link } from 'react-router'
import type { Spare } from '../../shared/api/batteries'
import { glued } from '../../shared/quantities/glued'
import { HERE, spokenDate, spokenDay } from '../../shared/quantities/when'
import { VerdictMark } from '../../shared/ui/VerdictMark'

const KNOWN: Record<string, string> = {
  read: 'by its volts of',
  charged: 'charged',
  left: 'as its unit left it',
}

function chargeWords(spare: Spare) {
  if (spare.charge_percent === null || !spare.charge_known || !spare.charge_known_at) {
    return 'Nobody knows its charge: read its volts at rest, or charge it'
  }
  const how = `${KNOWN[spare.charge_known] ?? ''} ${spokenDay(spare.charge_known_at, HERE)}`
  if (spare.wants_charge) return `About ${spare.charge_percent} % by now, ${how}: charge it`
  return `About ${spare.charge_percent} % by now, ${how}; charge it by ${spare.recharge_on ? spokenDate(spare.recharge_on) : ''}`
}

function healthWords(spare: Spare) {
  if (spare.health_percent === null || !spare.tested_at) return 'never tested'
  return `${Math.round(spare.health_percent)} % of its label, ${spokenDay(spare.tested_at, HERE)}`
}

/** A spare: what it is, what it is worth, how much is in it by now. */
export function SpareRow({ spare, next }: { spare: Spare; next: boolean }) {
  const quiet = next ? '' : 'text-quiet'
  return (
    <li className="rule-below">
      <Link
        to={`/batteries/${spare.id}`}
        className={`grid grid-cols-[1.5rem_1fr] gap-x-3 gap-y-1 py-3 no-underline desk:grid-cols-[1.5rem_8rem_14rem_1fr] ${next ? '-mx-4 bg-copper px-4 text-on-copper' : 'hover:bg-hair/40'}`}
      >
        <span className={`pt-1 ${next ? '[&_span]:text-on-copper' : ''}`}>
          <VerdictMark verdict={spare.wants_charge ? 'watch' : (spare.verdict ?? 'unproven')} word={false} />
        </span>
        <span className="font-label text-lead font-bold link-words">{spare.tag}</span>
        <span className="col-start-2 desk:col-start-3">
          {spare.rating_ampere} A {spare.rating_standard}, {spare.type_label}
          <span className={`block ${quiet}`}>{healthWords(spare)}</span>
        </span>
        <span className="col-start-2 desk:col-start-4">
          {glued(chargeWords(spare))}
          {spare.left && <span className={`block ${quiet}`}>from {spare.left}</span>}
        </span>
      </Link>
    </li>
  )
}
