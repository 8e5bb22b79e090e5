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

/** What becomes of the stop with each single fault: what will not stop in sentences, each fault and what stops the engine by itself folded. */
export function StopRows({ stop }: { stop: Stop }) {
  const label = (key: string) => stop.asked.find((way) => way.key === key)?.label ?? key
  const running = stop.rows.filter((row) => row.running)
  const stopping = stop.rows.filter((row) => !row.running)
  return (
    <div className="flex flex-col gap-1">
      {stop.findings.length > 0 && (
        <section aria-label="With a single fault">
          <h4 className="font-label font-bold">With a single fault</h4>
          <ul>
            {stop.findings.map((words) => (
              <li key={words} className="rule-below py-1">
                {words}
              </li>
            ))}
          </ul>
        </section>
      )}
      <Folded
        title={running.length === 1 ? 'The fault by itself' : `These ${running.length} faults one by one`}
        rows={running}
      >
        {(row) =>
          `${row.how === 'lost' ? 'lost, ' : ''}not stopped by ${row.nothing_stops ? 'anything' : row.fails.map(label).join(', ')}`
        }
      </Folded>
      <Folded title={`${stopping.length} faults stop it by themselves`} rows={stopping} />
    </div>
  )
}
