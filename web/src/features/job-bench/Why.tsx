import type { Reading } from '../../shared/api/types'
import { glued } from '../../shared/quantities/glued'
import type { Suspects } from './path'

/** What this reading would be with the fault of each of the likeliest parts. */
const predictedFor = (reading: Reading, suspects: Suspects | null) =>
  (suspects?.parts ?? []).flatMap((part) =>
    part.predicted.filter((one) => one.reading_id === reading.id).map((one) => `${one.spoken} with ${part.short}`),
  )

const list = (title: string, lines: string[]) =>
  lines.length === 0 ? null : (
    <div className="contents">
      <dt className="font-label text-quiet">{title}</dt>
      <dd>
        {lines.map((line) => (
          <p key={line}>{glued(line)}</p>
        ))}
      </dd>
    </div>
  )

/** Why a verdict is what it is: the sum, the limit and its source, what it rules in and out, and how it could mislead. */
export function Why({ reading, suspects }: { reading: Reading; suspects: Suspects | null }) {
  const judged = reading.judged
  if (!judged) return null
  return (
    <dl className="grid gap-x-4 gap-y-2 py-2 desk:grid-cols-[7rem_1fr]">
      {list('Sum', judged.arithmetic)}
      {list(
        'Limit',
        judged.limits.map(
          (limit) => `${limit.name}: ${limit.value} ${limit.unit}, ${limit.source_kind} (${limit.source})`,
        ),
      )}
      {list('Rules in', judged.rules_in)}
      {list('Rules out', judged.rules_out)}
      {list('Not yet', judged.reasons)}
      {list('Instead', judged.instead ? [judged.instead] : [])}
      {list('Beware', judged.traps)}
      {list('Would show', predictedFor(reading, suspects))}
      {list('As entered', [`${reading.entered}, ${reading.person ?? ''}`])}
      {list(
        'When taken',
        reading.verdict_when_taken && reading.verdict_when_taken !== judged.verdict
          ? [`judged ${reading.verdict_when_taken} at the time; what is known since changed it`]
          : [],
      )}
      {list('Corrects', reading.correction_reason ? [reading.correction_reason] : [])}
    </dl>
  )
}
