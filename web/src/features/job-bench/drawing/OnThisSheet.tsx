import type { JobDrawing } from '../../../shared/api/jobs'
import { Button } from '../../../shared/ui/Button'
import { VerdictMark } from '../../../shared/ui/VerdictMark'

/** All that the drawing says of the job, in words. */
export function OnThisSheet({ data, onPin }: { data: JobDrawing; onPin: (pin: string) => void }) {
  const pinOf = (part: string) =>
    data.pictures.flatMap((one) => one.parts).find((one) => one.part === part)?.pins[0]?.pin ?? null
  return (
    <>
      <section aria-label="Read on this sheet">
        <h2 className="rule-below pb-1 text-lead">Read on this sheet</h2>
        {data.readings.length === 0 && <p className="pt-2 text-quiet">Nothing of this job yet.</p>}
        <ul>
          {data.readings.map((one) => (
            <li key={one.id} className="rule-below flex flex-wrap items-center justify-between gap-x-4 py-1">
              <Button
                look="inline"
                onClick={() => {
                  if (one.at[0] !== undefined) onPin(one.at[0])
                }}
              >
                {one.label}
              </Button>
              <span className="flex items-center gap-2">
                <strong className="text-lead font-semibold">{one.spoken}</strong>
                <VerdictMark verdict={one.verdict} />
              </span>
            </li>
          ))}
        </ul>
      </section>
      <section aria-label="Suspected on this sheet">
        <h2 className="rule-below pb-1 text-lead">Suspected on this sheet</h2>
        {data.suspects.length === 0 && <p className="pt-2 text-quiet">Nothing on it stands out.</p>}
        <ul>
          {data.suspects.map((one) => {
            const pin = one.parts.map(pinOf).find((each) => each !== null)
            return (
              <li key={one.label} className="rule-below flex flex-wrap items-center justify-between gap-x-4 py-1">
                {pin ? (
                  <Button
                    look="inline"
                    onClick={() => {
                      onPin(pin)
                    }}
                  >
                    {one.label}
                  </Button>
                ) : (
                  <span>{one.label}</span>
                )}
                <span className={one.word === 'at fault' ? 'font-semibold text-act' : 'font-semibold text-watch'}>
                  {one.word}
                </span>
              </li>
            )
          })}
        </ul>
      </section>
    </>
  )
}
