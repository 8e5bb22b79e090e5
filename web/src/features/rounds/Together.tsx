import type { Round } from '../../shared/api/rounds'
import { Trend } from '../../shared/chart/Trend'
import { glued } from '../../shared/quantities/glued'
import { spokenDate } from '../../shared/quantities/when'
import { VerdictMark } from '../../shared/ui/VerdictMark'

/** What the steps say beside each other. */
export function SessionLines({ data }: { data: Round }) {
  if (data.lines.length === 0) return null
  return (
    <section aria-labelledby="together" className="order-3">
      <h2 id="together" className="rule-below pb-1 text-lead">
        Step by step
      </h2>
      <dl>
        {data.lines.map((line) => (
          <div key={line.label} className="rule-below grid grid-cols-[6rem_1fr] gap-x-4 gap-y-1 py-2">
            <dt className="font-label font-bold">{line.label}</dt>
            <dd>
              {glued(line.words)}
              <span className="block text-quiet">{glued(line.arithmetic)}</span>
            </dd>
          </div>
        ))}
      </dl>
    </section>
  )
}

/** The regulated voltage over months, each as it would be at 25 °C. */
export function DriftLine({ data }: { data: Round }) {
  const { drift } = data
  if (!drift || drift.points.length === 0) return null
  const [from, to] = drift.leaves_between ?? []
  return (
    <section aria-labelledby="drift" className="order-4 flex flex-col gap-3">
      <h2 id="drift" className="rule-below pb-1 text-lead">
        Regulated voltage, as at 25 °C
      </h2>
      <p className="flex items-baseline gap-3">
        <VerdictMark verdict={drift.verdict} word={false} />
        <span>
          {glued(drift.words)}
          {(from ?? to) &&
            `. Out of its band ${from ? `from ${spokenDate(from)}` : ''}${to ? ` to ${spokenDate(to)}` : ' on'}`}
        </span>
      </p>
      <Trend
        label="Regulated voltage"
        unit="V"
        air={0.2}
        points={drift.points.map((point) => ({ day: point.day, value: point.volt, counts: point.counts }))}
        limits={[
          { value: drift.high_volt, words: `most ${drift.high_volt} V` },
          { value: drift.low_volt, words: `least ${drift.low_volt} V` },
        ]}
        reaches={drift.leaves_between ? { from: from ?? null, to: to ?? null } : null}
      />
    </section>
  )
}
