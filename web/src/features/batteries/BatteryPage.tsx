import { useQuery } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { battery as batteryQuery, type BatteryRecord } from '../../shared/api/batteries'
import { outlookWords } from '../../shared/battery/outlook'
import { PlaceRow } from '../../shared/ui/PlaceRow'
import { ReadingRow } from '../../shared/ui/ReadingRow'
import { Trend } from '../../shared/chart/Trend'
import { Shown } from '../../shared/page/Shown'
import { useTitle } from '../../shared/page/useTitle'
import { HERE } from '../../shared/quantities/when'
import { useMay } from '../../shared/session/session'
import { VerdictMark } from '../../shared/ui/VerdictMark'
import { LookAfter } from './LookAfter'

function Health({ battery }: { battery: BatteryRecord }) {
  const { outlook } = battery
  const [from, to] = outlook.crosses_between ?? []
  return (
    <section aria-labelledby="health">
      <h2 id="health" className="rule-below pb-1 text-lead">
        Health
      </h2>
      <p className="flex items-center gap-3 py-3">
        {battery.verdict && <VerdictMark verdict={battery.verdict} />}
        {battery.health_percent !== null && (
          <span className="text-reading font-semibold">{Math.round(battery.health_percent)} %</span>
        )}
        <span>{outlookWords(outlook)}.</span>
      </p>
      {outlook.points.length > 1 && (
        <Trend
          label="Health"
          unit="%"
          points={outlook.points.map((point) => ({
            day: point.day,
            value: point.health_percent,
            counts: point.counts,
          }))}
          limits={[{ value: outlook.limit_percent, words: `replace at ${outlook.limit_percent} %` }]}
          reaches={outlook.crosses_on ? { from: from ?? outlook.crosses_on, to: to ?? null } : null}
        />
      )}
    </section>
  )
}

function Places({ battery }: { battery: BatteryRecord }) {
  return (
    <section aria-labelledby="places">
      <h2 id="places" className="rule-below pb-1 text-lead">
        Where it has been
      </h2>
      {battery.fittings.length === 0 && <p className="py-3">It was never fitted to a unit.</p>}
      <ol>
        {battery.fittings.map((place) => (
          <PlaceRow key={place.from} place={place} unit={`${place.unit} ${place.position}`} />
        ))}
      </ol>
    </section>
  )
}

function Readings({ battery }: { battery: BatteryRecord }) {
  return (
    <section aria-labelledby="readings">
      <h2 id="readings" className="rule-below pb-1 text-lead">
        What was read of it
      </h2>
      {battery.readings.length === 0 && (
        <p className="py-3">Nothing yet. Its volts at rest and a tester’s figure come first.</p>
      )}
      <ol>
        {battery.readings.map((reading) => (
          <ReadingRow key={reading.id} reading={reading} words={reading.short} zone={HERE} ruled />
        ))}
      </ol>
    </section>
  )
}

/** One battery through its life. */
export function BatteryPage() {
  const { id = '' } = useParams()
  const asked = useQuery(batteryQuery(id))
  const may = useMay()('edit_batteries')
  useTitle(asked.data ? `Battery ${asked.data.tag}` : '')
  return (
    <Shown asked={asked} what="the battery">
      {(battery) => (
        <div className="flex flex-col gap-6">
          <header className="rule-below pb-3">
            <h1 className="text-display leading-tight">
              {battery.tag}{' '}
              <span className="font-medium">
                {battery.place
                  ? `in ${battery.place.unit}, ${battery.place.position}`
                  : battery.scrapped_at
                    ? 'scrapped'
                    : 'on the shelf'}
              </span>
            </h1>
            <p className="text-quiet">
              {battery.rating_ampere} A {battery.rating_standard}, {battery.type_label}
              {battery.made && `, made ${battery.made}`}
            </p>
          </header>
          <div className="grid gap-8 desk:grid-cols-[minmax(0,1.45fr)_minmax(0,1fr)] desk:gap-12">
            <div className="flex flex-col gap-8">
              <Health battery={battery} />
              <Readings battery={battery} />
            </div>
            <div className="flex flex-col gap-8">
              {may && !battery.place && <LookAfter battery={battery} />}
              <Places battery={battery} />
            </div>
          </div>
        </div>
      )}
    </Shown>
  )
}
