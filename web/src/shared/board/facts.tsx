import type { ReactNode } from 'react'
import type { Standing, Verdict } from '../api/types'
import { shortDate } from '../quantities/when'
import { Scale } from './Scale'

/** One thing that a unit is like: how it reads, how it is drawn, since when, and which order puts the worst of it first. */
export interface Fact {
  key: 'batteries' | 'charging' | 'path' | 'cold' | 'grounds' | 'faults'
  title: string
  /** Nothing, where it was never read. */
  of: (standing: Standing) => { verdict: Verdict | null; figure: string; note: string; picture: ReactNode } | null
  never: string
}

const TONE = { sound: 'text-sound', watch: 'text-watch', act: 'text-act', unproven: 'text-unproven' } as const
const toneOf = (verdict: Verdict | null) => (verdict ? TONE[verdict] : 'text-ink')

const PERCENT_ENDS = [40, 110] as const
/** Volts off the middle of its band, per 12 V. */
const CHARGING_ENDS = [-1.2, 1.2] as const
const MILLIOHM_ENDS = [0, 4] as const
const CELSIUS_ENDS = [-35, 10] as const

const signed = (value: number) => `${value < 0 ? '−' : '+'}${Math.abs(value)}`
const celsius = (value: number) => `${value < 0 ? '−' : ''}${Math.abs(value)} °C`

export const FACTS: readonly Fact[] = [
  {
    key: 'batteries',
    title: 'Batteries',
    never: 'never tested',
    of: ({ batteries: found }) =>
      found && {
        verdict: found.verdict,
        figure: `${found.percent} %${found.yearly_percent === null ? '' : `, ${signed(found.yearly_percent)} a year`}`,
        note: `${shortDate(found.on)}${found.untested > 0 ? `, ${found.untested} not tested` : ''}`,
        picture: (
          <Scale ends={PERCENT_ENDS} value={found.percent} limit={found.least_percent} tone={toneOf(found.verdict)} />
        ),
      },
  },
  {
    key: 'charging',
    title: 'Charging',
    never: 'never read',
    of: ({ charging: found }) => {
      if (!found) return null
      const middle = (found.low_volt + found.high_volt) / 2
      const off = (volt: number) => (volt - middle) / found.blocks
      return {
        verdict: found.verdict,
        figure: `${found.volt.toFixed(2)} V${found.yearly_volt === null ? '' : `, ${signed(found.yearly_volt)} a year`}`,
        note: shortDate(found.on),
        picture: (
          <Scale
            ends={CHARGING_ENDS}
            value={off(found.volt)}
            band={[off(found.low_volt), off(found.high_volt)]}
            tone={toneOf(found.verdict)}
          />
        ),
      }
    },
  },
  {
    key: 'path',
    title: 'Start path',
    never: 'never read',
    of: ({ path: found }) => {
      if (!found) return null
      const ways = [found.feed_milliohm, found.return_milliohm]
      const known = ways.filter((way) => way !== null)
      const words = ways.map((way) => (way === null ? '?' : way.toFixed(1))).join(' + ')
      return {
        verdict: found.verdict,
        figure: known.length === 0 ? 'current not known' : `${words} mΩ`,
        note: shortDate(found.on),
        picture: known.length > 0 && (
          <Scale ends={MILLIOHM_ENDS} value={known.reduce((sum, way) => sum + way, 0)} tone={toneOf(found.verdict)} />
        ),
      }
    },
  },
  {
    key: 'cold',
    title: 'Starts down to',
    never: 'not known',
    of: ({ cold: found }) =>
      found && {
        verdict: null,
        figure: celsius(found.celsius),
        note: `± ${found.spread_celsius}${found.tested ? '' : found.mended_since ? ', mended since' : ', by labels'}`,
        picture: (
          <Scale
            ends={CELSIUS_ENDS}
            value={found.celsius}
            band={[found.celsius - found.spread_celsius, found.celsius + found.spread_celsius]}
            tone="text-ink"
          />
        ),
      },
  },
  {
    key: 'grounds',
    title: 'Grounds',
    never: 'never read',
    of: ({ grounds: found }) =>
      found && {
        verdict: found.due ? 'watch' : null,
        figure: `${found.milliohm.toFixed(2)} mΩ`,
        note: found.due ? `due since ${shortDate(found.due_on)}` : shortDate(found.on),
        picture: null,
      },
  },
  {
    key: 'faults',
    title: 'Mended, 12 months',
    never: 'none',
    of: ({ faults: found }) =>
      found.count === 0
        ? null
        : {
            verdict: found.again ? 'watch' : null,
            figure: String(found.count),
            note: found.again ? `again: ${found.again}` : '',
            picture: null,
          },
  },
]

/** What is open on it, in words. */
export const openWords = ({ open }: Standing): string[] => [
  ...(open.held ? ['held'] : []),
  ...(open.jobs > 0 ? [open.jobs === 1 ? 'open job' : `${open.jobs} open jobs`] : []),
  ...(open.temporary ? ['temporary repair'] : []),
  ...(open.watched ? ['watched'] : []),
]

const WORST_FIRST: readonly Verdict[] = ['act', 'watch', 'unproven', 'sound']

/** The facts that are worth a phone's line: those with the worst marks, two at most. */
export function worstOf(standing: Standing) {
  const marked = FACTS.flatMap((fact) => {
    const read = fact.of(standing)
    return read?.verdict ? [{ fact, read, verdict: read.verdict }] : []
  })
  const rank = (verdict: Verdict) => WORST_FIRST.indexOf(verdict)
  return marked.sort((one, other) => rank(one.verdict) - rank(other.verdict)).slice(0, 2)
}
