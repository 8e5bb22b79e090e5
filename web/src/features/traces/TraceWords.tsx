import type { Trace } from '../../shared/api/traces'
import { glued } from '../../shared/quantities/glued'
import { spokenDay } from '../../shared/quantities/when'
import { VerdictMark } from '../../shared/ui/VerdictMark'

/** What a trace says, and what to do about it. */
export function TraceVerdicts({ trace }: { trace: Trace }) {
  return (
    <ul className="flex flex-col gap-3">
      {trace.said.map((one) => (
        <li key={one.summary} className="grid grid-cols-[1.5rem_1fr] items-baseline gap-x-3">
          <VerdictMark verdict={one.verdict} word={false} />
          <span>
            {glued(one.summary)}
            {one.arithmetic.map((sum) => (
              <span key={sum} className="block text-quiet">
                {glued(sum)}
              </span>
            ))}
            {one.verdict !== 'sound' && one.instead && <span className="block font-semibold">{one.instead}</span>}
          </span>
        </li>
      ))}
      {trace.remarks.map((one) => (
        <li key={one.text} className="grid grid-cols-[1.5rem_1fr] items-baseline gap-x-3">
          <span>{one.verdict !== 'sound' && <VerdictMark verdict={one.verdict} word={false} />}</span>
          <span>{glued(one.text)}</span>
        </li>
      ))}
    </ul>
  )
}

/** What was found in a trace, and what changed since the last sound one. */
export function TraceFigures({ trace, zone }: { trace: Trace; zone: string }) {
  const { before } = trace
  return (
    <div className="flex flex-col gap-2">
      <table className="w-full">
        <thead>
          <tr className="rule-below text-left">
            <th className="py-1 font-label">Found in it</th>
            <th className="py-1 text-right font-label">Now</th>
            {before && (
              <>
                <th className="py-1 pl-3 text-right font-label">{spokenDay(before.taken_at, zone)}</th>
                <th className="py-1 pl-4 font-label">Change</th>
              </>
            )}
          </tr>
        </thead>
        <tbody>
          {before
            ? before.lines.map((row) => (
                <tr key={row.label} className="rule-below">
                  <td className="py-1">{row.label}</td>
                  <td className="py-1 text-right font-semibold whitespace-nowrap">{row.now}</td>
                  <td className="py-1 pl-3 text-right whitespace-nowrap">{row.earlier}</td>
                  <td className="py-1 pl-4">{row.words}</td>
                </tr>
              ))
            : trace.figures.map((row) => (
                <tr key={row.key} className="rule-below">
                  <td className="py-1">{row.label}</td>
                  <td className="py-1 text-right font-semibold whitespace-nowrap">{row.spoken}</td>
                </tr>
              ))}
        </tbody>
      </table>
      {before?.caution && <p className="text-quiet">{glued(before.caution)}</p>}
      {!before && <p className="text-quiet">No sound trace before it to hold it against.</p>}
    </div>
  )
}
