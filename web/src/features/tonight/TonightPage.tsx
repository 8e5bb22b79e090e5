import { useQuery } from '@tanstack/react-query'
import { tonight } from '../../shared/api/tonight'
import { PageHead } from '../../shared/page/PageHead'
import { Shown } from '../../shared/page/Shown'
import { useTitle } from '../../shared/page/useTitle'
import { spokenDate } from '../../shared/quantities/when'
import { YardNight } from './YardNight'

/** The coming night, drawn: yard by yard what starts down to where, against how cold it gets. */
export function TonightPage() {
  const asked = useQuery(tonight())
  useTitle('Tonight')
  return (
    <Shown asked={asked} what="tonight">
      {(told) => (
        <div className="flex flex-col gap-6">
          <PageHead title="Tonight" words={told.nights[0] && `Before the dawn of ${spokenDate(told.nights[0].dawn)}`} />
          {told.nights.map((night) => {
            const lines = told.lines
              .filter((line) => line.yard_id === night.yard_id)
              .sort((one, other) => other.celsius - one.celsius)
            return (
              <section key={night.yard_id} aria-label={night.yard} className="flex flex-col gap-2">
                <h2 className="text-lead">
                  {night.yard} {lines.length > 0 && <span className="text-quiet">{lines.length}</span>}
                </h2>
                <YardNight night={night} lines={lines} />
              </section>
            )
          })}
        </div>
      )}
    </Shown>
  )
}
