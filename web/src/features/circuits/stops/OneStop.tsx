import type { SheetTable } from '../../../shared/api/circuits'
import type { Stop } from '../../../shared/api/stops'
import { LeadAnswer } from './LeadAnswer'
import { StopRows } from './StopRows'
import { Trial } from './Trial'

const RUNS: Record<Stop['runs'], string> = {
  held: 'The engine runs while it has its volts: without them it stops.',
  released: 'The engine runs while it has no volts: without them it will not stop.',
}

/** One way to stop: how it is asked for and was tried, what single faults make of it, what it borrows. */
export function OneStop({ sheet, stop }: { sheet: SheetTable; stop: Stop }) {
  return (
    <section aria-label={stop.label} className="flex flex-col gap-4">
      <header className="rule-below pb-1">
        <h3 className="text-lead">{stop.label}</h3>
        <p className="text-quiet">{RUNS[stop.runs]}</p>
      </header>
      <ul aria-label="Asked to stop">
        {stop.asked.map((way) => (
          <Trial key={way.key} sheet={sheet} stop={stop} way={way} />
        ))}
      </ul>
      {stop.borrowed.map((feed) => (
        <p key={feed.fuse} className="border-l-4 border-watch pl-4">
          <strong className="font-semibold">Borrowed feed:</strong> {feed.fuse} feeds {feed.others.join(', ')} too. What
          blows it there {stop.runs === 'held' ? 'stops this engine.' : 'leaves this engine without its stop.'}
        </p>
      ))}
      <StopRows stop={stop} />
      {stop.findings.length > 0 && sheet.unit && <LeadAnswer sheet={sheet} stop={stop} />}
    </section>
  )
}
