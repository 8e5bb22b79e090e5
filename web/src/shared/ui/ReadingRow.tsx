import { glued } from '../quantities/glued'
import { spokenTime } from '../quantities/when'
import { VerdictMark } from './VerdictMark'

interface Shown {
  spoken: string
  taken_at: string
  verdict: Parameters<typeof VerdictMark>[0]['verdict'] | null
  summary: string | null
  judged_by?: string | null
}

/** A reading in a list: its mark in the gutter, what it was, when and what it came to, the figure at the end. */
export function ReadingRow({
  reading,
  words,
  zone,
  ruled = false,
}: {
  reading: Shown
  words: string
  zone: string
  ruled?: boolean
}) {
  return (
    <li className={`grid grid-cols-[1.5rem_1fr_auto] items-baseline gap-x-3 ${ruled ? 'rule-below py-2' : 'py-1'}`}>
      <span>{reading.verdict && <VerdictMark verdict={reading.verdict} word={false} />}</span>
      <span>
        {words}
        <span className="block text-quiet">
          {spokenTime(reading.taken_at, zone)}
          {reading.summary && ` · ${glued(reading.summary)}`}
          {reading.judged_by && ` · ${reading.judged_by}`}
        </span>
      </span>
      <span className="text-lead font-semibold">{reading.spoken}</span>
    </li>
  )
}
