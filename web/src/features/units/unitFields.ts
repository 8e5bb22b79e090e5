import type { NewUnit, UnitSheet } from '../../shared/api/types'
import { numberFrom } from '../../shared/quantities/numberFrom'

/** The form's own fields: texts as typed. */
export interface UnitFields {
  number: string
  name: string
  kind: string
  yard_id: string
  bank: string
  usual_cranking_current_ampere: string
  alternator_rating_ampere: string
  has_isolator: boolean
  has_sense: boolean
}

export const emptyUnit: UnitFields = {
  number: '',
  name: '',
  kind: 'truck',
  yard_id: '',
  bank: 'parallel-2',
  usual_cranking_current_ampere: '',
  alternator_rating_ampere: '',
  has_isolator: true,
  has_sense: true,
}

export const fromSheet = (sheet: UnitSheet): UnitFields => ({
  number: sheet.number,
  name: sheet.name,
  kind: sheet.kind,
  yard_id: sheet.yard_id,
  bank: `${sheet.arrangement}-${sheet.battery_count}`,
  usual_cranking_current_ampere: String(sheet.usual_cranking_current_ampere),
  alternator_rating_ampere: String(sheet.alternator_rating_ampere ?? ''),
  has_isolator: sheet.has_isolator,
  has_sense: sheet.has_sense,
})

export function toInput(fields: UnitFields): Omit<NewUnit, 'id'> {
  const { bank, ...rest } = fields
  const [arrangement = '', count = ''] = bank.split('-')
  return {
    ...rest,
    arrangement,
    battery_count: Number(count),
    system_volt: arrangement === 'series' ? 24 : 12,
    usual_cranking_current_ampere: numberFrom(fields.usual_cranking_current_ampere) as number,
    alternator_rating_ampere: numberFrom(fields.alternator_rating_ampere) as number | null,
  }
}
