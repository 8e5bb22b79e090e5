import { Link } from 'react-router'
import type { CircuitNet } from './api'

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
            <button
              type="button"
              className="min-h-12 text-left font-label font-bold underline decoration-hair underline-offset-4 desk:min-h-9"
              onClick={() => {
                onWire(run.number)
              }}
            >
              {run.number}
            </button>
            <span>
              {run.from.replace(/:(joint|metal)$/, '')} to {run.to.replace(/:(joint|metal)$/, '')}
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
            <button
              type="button"
              className="min-h-12 text-left font-label font-bold underline decoration-hair underline-offset-4 desk:min-h-8"
              onClick={() => {
                onPin(end.node)
              }}
            >
              {end.node.replace(/:(joint|metal)$/, '')}
            </button>
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
