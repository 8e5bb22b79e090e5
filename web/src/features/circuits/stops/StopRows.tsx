import type { Stop, StopRow } from '../../../shared/api/stops'

/** So many of what only stops the engine are named before they are folded. */
function Folded({ title, rows, children }: { title: string; rows: StopRow[]; children?: (row: StopRow) => string }) {
  if (rows.length === 0) return null
  return (
    <details>
      <summary className="min-h-12 content-center font-label font-bold">{title}</summary>
      <ul>
        {rows.map((row) => (
          <li key={`${row.label} ${row.how}`} className="rule-below py-1">
            {row.label}
            {children && <span className="text-quiet">: {children(row)}</span>}
          </li>
        ))}
      </ul>
    </details>
  )
}

/** What becomes of the stop with each single fault: what will not stop stands open, what stops the engine by itself is folded. */
export function StopRows({ stop }: { stop: Stop }) {
  const label = (key: string) => stop.asked.find((way) => way.key === key)?.label ?? key
  const none = stop.rows.filter((row) => row.nothing_stops)
  const some = stop.rows.filter((row) => row.running && !row.nothing_stops)
  const stopping = stop.rows.filter((row) => !row.running)
  return (
    <div className="flex flex-col gap-1">
      {none.length > 0 && (
        <section aria-label="Nothing stops it">
          <h4 className="font-label font-bold text-act">Will not stop, however it is asked, with any of these</h4>
          <ul>
            {none.map((row) => (
              <li key={`${row.label} ${row.how}`} className="rule-below py-1">
                {row.label} <span className="text-quiet">{row.how}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      <Folded title={`${some.length} faults leave one way or another that will not stop it`} rows={some}>
        {(row) => `${row.how}, will not stop by ${row.fails.map(label).join(', ')}`}
      </Folded>
      <Folded title={`${stopping.length} faults stop it by themselves`} rows={stopping} />
    </div>
  )
}
