import { written } from '../../../shared/quantities/written'
import type { ItemFact } from '../../../shared/api/ownFacts'

/** What a fact says, with its unit: "12.5 m", "2.5 mm²". */
export const saidOf = (fact: ItemFact, says: string | null = fact.says): string =>
  says === null ? 'not said' : written([says, fact.unit].filter(Boolean).join(' '))
