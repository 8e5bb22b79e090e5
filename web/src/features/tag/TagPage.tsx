import { useQuery } from '@tanstack/react-query'
import { QRCodeSVG } from 'qrcode.react'
import { Link, useParams } from 'react-router'
import { unitStart } from '../../shared/api/tonight'
import { unitSheet } from '../../shared/api/units'
import { MorningTap } from '../../shared/cold-start/MorningTap'
import { Shown } from '../../shared/page/Shown'
import { useTitle } from '../../shared/page/useTitle'
import { useMay } from '../../shared/session/session'
import { Button } from '../../shared/ui/Button'

const QR_PIXELS = 232
const NEXT = 'flex min-h-14 items-center border border-quiet px-4 font-label text-lead font-bold no-underline'

/** What the code on a unit's door opens: how it started, what is wrong, its sheet; and the tag itself, to print. */
export function TagPage() {
  const { id = '' } = useParams()
  const asked = useQuery(unitSheet(id))
  const { data: start } = useQuery(unitStart(id))
  const may = useMay()
  useTitle(asked.data ? `Tag of ${asked.data.number}` : '')
  return (
    <Shown asked={asked} what="the unit">
      {(unit) => {
        const job = unit.jobs.find((one) => one.state === 'open')
        return (
          <div className="grid gap-8 desk:grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)] desk:gap-12">
            <div className="flex flex-col gap-6">
              <header className="rule-below pb-3">
                <h1 className="text-display leading-tight">
                  {unit.number} <span className="font-medium">{unit.name}</span>
                </h1>
                <p className="text-quiet">{unit.yard}</p>
              </header>
              {start?.forecast && may('say_morning') && !unit.retired && (
                <section aria-labelledby="morning" className="flex flex-col gap-2">
                  <h2 id="morning" className="text-lead">
                    How did it start this morning?
                  </h2>
                  <MorningTap unit={{ id: unit.id, name: unit.number }} dawn={start.today} outcome={start.outcome} />
                </section>
              )}
              <nav aria-label="What next" className="grid gap-3 print:hidden">
                {job ? (
                  <Link to={`/jobs/${job.id}`} className="block bg-copper p-5 text-on-copper no-underline">
                    <span className="font-label font-bold">Job {job.number}, open</span>
                    <span className="block text-lead">{job.complaint}</span>
                  </Link>
                ) : (
                  may('report_fault') && (
                    <Link
                      to={`/units/${unit.id}/jobs/new`}
                      className="block bg-copper p-5 font-label text-lead font-bold text-on-copper"
                    >
                      Something is wrong with it
                    </Link>
                  )
                )}
                <Link to={`/units/${unit.id}`} className={NEXT}>
                  Its sheet
                </Link>
                {may('take_reading') && (
                  <>
                    <Link to={`/units/${unit.id}/rounds/batteries`} className={NEXT}>
                      Battery round
                    </Link>
                    <Link to={`/units/${unit.id}/rounds/charge`} className={NEXT}>
                      Charging session
                    </Link>
                  </>
                )}
              </nav>
            </div>
            <section aria-labelledby="tag" className="flex flex-col items-start gap-4">
              <h2 id="tag" className="text-lead">
                The tag, for its door
              </h2>
              <div className="flex flex-col items-center gap-2 border-2 border-ink bg-white p-5 text-black">
                <QRCodeSVG
                  value={`${window.location.origin}/tag/${unit.id}`}
                  size={QR_PIXELS}
                  level="M"
                  title={`Opens the page of ${unit.number}`}
                />
                <span className="font-label text-display leading-none font-bold">{unit.number}</span>
              </div>
              <p className="text-quiet print:hidden">
                Scanned, it opens this page. Print it waterproof, where a gloved hand finds it.
              </p>
              <span className="print:hidden">
                <Button
                  onClick={() => {
                    window.print()
                  }}
                >
                  Print the tag
                </Button>
              </span>
            </section>
          </div>
        )
      }}
    </Shown>
  )
}
