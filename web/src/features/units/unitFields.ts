import type { components } from '../../shared/api/schema'
import type { NewUnit, UnitSheet } from '../../shared/api/types'
import { numberFrom } from '../../shared/quantities/numberFrom'
import type { Difference } from '../../shared/writes/BothVersions'

export type Regulator = UnitSheet['regulator']
export type Grounding = UnitSheet['grounding']

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
  regulator: Regulator
  neutral_interlock: boolean
  grounding: Grounding
  has_equaliser: boolean
  heat_aid: boolean
  control_unit: boolean
  automatic_start: boolean
  matters: UnitSheet['matters']
  exposure: UnitSheet['exposure']
  make: string
  model: string
}

/** A unit as the server keeps it, of which the form shows part. */
type Stored = Pick<
  UnitSheet,
  | 'number'
  | 'name'
  | 'kind'
  | 'yard_id'
  | 'system_volt'
  | 'arrangement'
  | 'battery_count'
  | 'usual_cranking_current_ampere'
  | 'alternator_rating_ampere'
  | 'has_isolator'
  | 'has_sense'
  | 'regulator'
  | 'neutral_interlock'
  | 'grounding'
  | 'has_equaliser'
  | 'heat_aid'
  | 'control_unit'
  | 'automatic_start'
  | 'matters'
  | 'exposure'
  | 'make'
  | 'model'
>

/** Where there is one yard it is there. */
export const emptyUnit = (yards: { id: string }[]): UnitFields => ({
  number: '',
  name: '',
  kind: 'truck',
  yard_id: yards.length === 1 ? (yards[0]?.id ?? '') : '',
  bank: 'parallel-2-12',
  usual_cranking_current_ampere: '',
  alternator_rating_ampere: '',
  has_isolator: true,
  has_sense: true,
  regulator: 'internal',
  neutral_interlock: false,
  grounding: 'negative',
  has_equaliser: false,
  heat_aid: true,
  control_unit: false,
  automatic_start: false,
  matters: 'usual',
  exposure: 'dry',
  make: '',
  model: '',
})

export const fromSheet = (sheet: Stored): UnitFields => ({
  number: sheet.number,
  name: sheet.name,
  kind: sheet.kind,
  yard_id: sheet.yard_id,
  bank: `${sheet.arrangement}-${sheet.battery_count}-${sheet.system_volt}`,
  usual_cranking_current_ampere: String(sheet.usual_cranking_current_ampere ?? ''),
  alternator_rating_ampere: String(sheet.alternator_rating_ampere ?? ''),
  has_isolator: sheet.has_isolator,
  has_sense: sheet.has_sense,
  regulator: sheet.regulator,
  neutral_interlock: sheet.neutral_interlock,
  grounding: sheet.grounding,
  has_equaliser: sheet.has_equaliser,
  heat_aid: sheet.heat_aid,
  control_unit: sheet.control_unit,
  automatic_start: sheet.automatic_start,
  matters: sheet.matters,
  exposure: sheet.exposure,
  make: sheet.make ?? '',
  model: sheet.model ?? '',
})

type Facts = NonNullable<components['schemas']['SisterFacts']['facts']>

/** What sister units have in common, as the form shows it; the unit's own number, name and yard stay. */
export const asSisters = (facts: Facts): Partial<UnitFields> => ({
  kind: facts.kind,
  bank: `${facts.arrangement}-${facts.battery_count}-${facts.system_volt}`,
  usual_cranking_current_ampere: String(facts.usual_cranking_current_ampere ?? ''),
  alternator_rating_ampere: String(facts.alternator_rating_ampere ?? ''),
  has_isolator: facts.has_isolator,
  has_sense: facts.has_sense,
  regulator: facts.regulator,
  neutral_interlock: facts.neutral_interlock,
  grounding: facts.grounding,
  has_equaliser: facts.has_equaliser,
  heat_aid: facts.heat_aid,
  control_unit: facts.control_unit,
})

export function toInput(fields: UnitFields): Omit<NewUnit, 'id'> {
  const { bank, ...rest } = fields
  const [arrangement = '', count = '', volt = ''] = bank.split('-')
  return {
    ...rest,
    arrangement,
    battery_count: Number(count),
    // A draft of an older page says no volts.
    system_volt: Number(volt || (arrangement === 'series' ? 24 : 12)),
    has_equaliser: fields.has_equaliser && arrangement === 'series',
    usual_cranking_current_ampere: numberFrom(fields.usual_cranking_current_ampere) as number | null,
    alternator_rating_ampere: numberFrom(fields.alternator_rating_ampere) as number | null,
    make: fields.make || null,
    model: fields.model || null,
  }
}

const LABELS: Record<keyof UnitFields, string> = {
  number: 'Number',
  name: 'Name',
  kind: 'Kind',
  yard_id: 'Yard',
  bank: 'Batteries',
  usual_cranking_current_ampere: 'Usual cranking current, A',
  alternator_rating_ampere: 'Alternator rating, A',
  has_isolator: 'Battery isolator',
  has_sense: 'Sense wire',
  regulator: 'Charged by',
  neutral_interlock: 'Neutral switch in the start relay’s coil',
  grounding: 'Ground',
  has_equaliser: 'Equaliser',
  heat_aid: 'Glow plugs or heater flange',
  control_unit: 'Control unit awake to start',
  automatic_start: 'Starts by itself',
  matters: 'If it does not start',
  exposure: 'Where it works',
  make: 'Make',
  model: 'Model',
}
const FIELDS = Object.keys(LABELS) as (keyof UnitFields)[]

/** Where what is typed differs from what somebody else saved meanwhile. */
export function unlike(
  mine: UnitFields,
  saved: Record<string, unknown>,
  yardName: (id: string) => string,
): Difference[] {
  const theirs = fromSheet(saved as unknown as Stored)
  const spoken = (field: keyof UnitFields, value: string | boolean) => {
    if (typeof value === 'boolean') return value ? 'yes' : 'no'
    return field === 'yard_id' ? yardName(value) : value.replaceAll('-', ' ')
  }
  return FIELDS.filter((field) => mine[field] !== theirs[field]).map((field) => ({
    field,
    label: LABELS[field],
    mine: spoken(field, mine[field]),
    theirs: spoken(field, theirs[field]),
  }))
}

/** Field by field as it was chosen; where both say the same, that. */
export function merged(
  mine: UnitFields,
  saved: Record<string, unknown>,
  sides: Record<string, 'mine' | 'theirs'>,
): UnitFields {
  const theirs = fromSheet(saved as unknown as Stored)
  return Object.fromEntries(
    FIELDS.map((field) => [field, sides[field] === 'mine' ? mine[field] : theirs[field]]),
  ) as unknown as UnitFields
}
