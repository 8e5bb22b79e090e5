import type { Outlook } from '../api/batteries'
import { spokenDate } from '../quantities/when'

/** ", 90 % between ... and ..." where the interval has both ends. */
function spokenRange(between: Outlook['crosses_between']) {
  const [from, to] = between ?? []
  return from && to ? `, 90 % between ${spokenDate(from)} and ${spokenDate(to)}` : ''
}

/** When a battery's health will be at the limit, or why nobody can say yet. */
export function outlookWords({
  missing,
  crosses_on: crosses,
  crosses_between: between,
  limit_percent: limit,
}: Outlook) {
  if (missing) return `No outlook yet: ${missing}`
  return crosses
    ? `Reaches ${limit} % about ${spokenDate(crosses)}${spokenRange(between)}`
    : `Not near ${limit} % within five years`
}
