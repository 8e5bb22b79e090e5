import type { Standing } from '../api/types'
import { VerdictMark } from '../ui/VerdictMark'
import type { Fact } from './facts'

/** One fact of one unit: its mark, its figure, where that lies, since when. */
export function FactCell({ fact, standing }: { fact: Fact; standing: Standing }) {
  const read = fact.of(standing)
  if (!read) return <span className="text-quiet">{fact.never}</span>
  return (
    <>
      <span className="flex items-center gap-1.5 whitespace-nowrap">
        {read.verdict && <VerdictMark verdict={read.verdict} word={false} />}
        <span className="font-semibold">{read.figure}</span>
      </span>
      {read.picture}
      <span className="block text-quiet">{read.note}</span>
    </>
  )
}
