import { useQuery } from '@tanstack/react-query'
import { visit, type TimelineEntry } from '../../shared/api/timeline'
import { Shown } from '../../shared/page/Shown'
import { ReadingRow } from '../../shared/ui/ReadingRow'

interface Props {
  unit: { id: string; time_zone: string }
  entry: TimelineEntry
}

/** What was read in one visit, in the order it was read. */
export function VisitReadings({ unit, entry }: Props) {
  const asked = useQuery(visit(unit.id, entry.day ?? '', entry.job_id))
  return (
    <Shown asked={asked} what="the readings">
      {(data) => (
        <ol>
          {data.readings.map((reading) => (
            <ReadingRow
              key={reading.id}
              reading={reading}
              words={reading.position ? `${reading.label}, battery ${reading.position}` : reading.label}
              zone={unit.time_zone}
            />
          ))}
        </ol>
      )}
    </Shown>
  )
}
