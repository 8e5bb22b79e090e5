import { Link } from 'react-router'
import { Button } from '../../../shared/ui/Button'
import type { CircuitNet } from '../../../shared/api/circuits'
import { spokenPin } from '../../../shared/drawing/names'

const ROLE: Record<string, string> = {
  feeds: 'feeds it',
  listens: 'listens',
  loads: 'works on it',
  switches: 'switches it',
  grounds: 'grounds it',
  hangs: 'not placed yet',
}

/** One net followed: wire by wire, then who hangs on it, and the sheets it goes on to. */
export function NetList({
  net,
  sheetOf,
  onWire,
  onPin,
}: {
  net: CircuitNet
  sheetOf: (key: string) => string | undefined
  onWire: (number: string) => void
  onPin: (pin: string) => void
}) {
  return (
    <div className="flex flex-col gap-4">
      <ul>
        {net.runs.map((run) => (
          <li
            key={run.number}
            className="rule-below grid grid-cols-[4.5rem_1fr_auto] items-center gap-x-3 py-1 desk:py-0.5"
          >
            <Button
              look="inline"
              onClick={() => {
                onWire(run.number)
              }}
            >
              {run.number}
            </Button>
            <span>
              {spokenPin(run.from)} to {spokenPin(run.to)}
              <span className="text-quiet">
                {[run.colour, run.size].filter(Boolean).map((word) => `, ${word ?? ''}`)}
              </span>
            </span>
            <span className="text-quiet">{run.length_m !== null && `${run.length_m.toFixed(1)} m`}</span>
          </li>
        ))}
      </ul>
      <ul aria-label="Who hangs on it">
        {net.ends.map((end) => (
          <li key={end.node} className="flex flex-wrap items-center justify-between gap-x-4">
            <Button
              look="inline"
              onClick={() => {
                onPin(end.node)
              }}
            >
              {spokenPin(end.node)}
            </Button>
            <span className="text-quiet">
              {ROLE[end.role]}: {end.words}
            </span>
          </li>
        ))}
      </ul>
      {net.links.map((link) => {
        const target = sheetOf(link.sheet)
        const words = `Goes on to ${link.sheet.replaceAll('_', ' ')}${link.at ? ` at ${link.at}` : ''}`
        return (
          <p key={`${link.from}-${link.sheet}`}>
            {target ? (
              <Link to={`/circuits/${target}${link.at ? `?pin=${encodeURIComponent(link.at)}` : ''}`}>{words}</Link>
            ) : (
              words
            )}
            {link.note && <span className="text-quiet">: {link.note}</span>}
          </p>
        )
      })}
    </div>
  )
}
