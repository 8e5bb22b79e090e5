import type { ReactNode } from 'react'
import { Link } from 'react-router'
import type { SheetTable } from '../../shared/api/circuits'

/** Chatter, blown fuses, relays near their threshold and shorts: said before anything else. */
export function Alarms({ sheet, state }: { sheet: SheetTable; state: string }) {
  const now = sheet.states.find((one) => one.key === state)
  const lines = [
    ...(now?.chattering ?? []).map((name) => `${name} chatters in this key state: it never comes to rest`),
    ...(now?.blown ?? []).map((one) => `${one.fuse} blows at ${one.ampere.toFixed(0)} A`),
    ...(now?.uncertain ?? []).map((name) => `${name} is near its threshold: it may pull in or not`),
    ...sheet.shorts,
  ]
  if (lines.length === 0) return null
  return (
    <ul role="alert" className="border-l-4 border-act pl-4 font-semibold text-act">
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  )
}

/** Whose sheet it is, and which version. */
export function SheetHead({ sheet, children }: { sheet: SheetTable; children: ReactNode }) {
  return (
    <header className="rule-below flex flex-col gap-3 pb-3">
      <div className="flex flex-wrap items-end justify-between gap-x-6">
        <h1 className="text-reading leading-tight desk:text-display">
          {sheet.unit && (
            <>
              <Link to={`/units/${sheet.unit.id}`}>{sheet.unit.number}</Link>{' '}
            </>
          )}
          <span className="font-medium">{sheet.title}</span>
        </h1>
        <p className="text-quiet">
          {sheet.system_volt} V,{' '}
          {sheet.joined.length > 0 ? `${sheet.joined.length} sheets as one` : `version ${sheet.n}`}
          {sheet.overridden > 0 && ', '}
          {sheet.overridden > 0 &&
            (sheet.joined.length > 0 ? (
              `${sheet.overridden} of its own`
            ) : (
              <Link to="?ask=own">{sheet.overridden} of its own</Link>
            ))}
        </p>
      </div>
      {children}
    </header>
  )
}
