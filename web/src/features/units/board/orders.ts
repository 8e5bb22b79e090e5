import type { UnitFilter } from '../../../shared/api/units'

export type Order = NonNullable<UnitFilter['order']>

/** In what order the board can stand, as a list to choose from. */
export const ORDERS: Record<Order, string> = {
  yard: 'Yard, number',
  consequence: 'What matters most',
  batteries: 'Worst batteries',
  charging: 'Furthest off charging',
  path: 'Most ohms to the starter',
  cold: 'Failing at mild cold',
  grounds: 'Grounds longest due',
  faults: 'Mended most often',
}
