import { useState } from 'react'
import type { JobBench } from '../../shared/api/types'
import { glued } from '../../shared/quantities/glued'
import type { Suspects } from './path'

function Progress({ share }: { share: number }) {
  const percent = Math.round(share * 100)
  return (
    <div className="flex items-center gap-4 pt-2">
      <progress className="h-2 w-40 accent-copper" value={percent} max={100} aria-label="Suspects worked out" />
      <p className="text-quiet">
        Working out what each fault would show: {percent} %. The order of work advises meanwhile.
      </p>
    </div>
  )
}

function Misfit({ job, suspects }: { job: JobBench; suspects: Suspects }) {
  const odd = job.readings.find((reading) => reading.id === suspects.misfit_reading_id)
  if (!odd) return null
  return (
    <p className="pt-1 font-semibold text-watch">
      No fault on this circuit explains all readings: {odd.spoken}, {odd.short}, fits least.
    </p>
  )
}

/** Who is suspected now, and who was before the last reading was taken, corrected or withdrawn. */
export function SuspectsLine({ job }: { job: JobBench }) {
  const { suspects } = job
  const line = suspects?.line ?? null
  const [shown, setShown] = useState({ line, before: null as string | null })
  if (line !== shown.line) setShown({ line, before: shown.line })
  if (!suspects) return null
  if (suspects.progress !== null) return <Progress share={suspects.progress} />
  return (
    <div className="pt-2">
      <p className="font-semibold" data-suspects>
        {glued(line ?? '')}
      </p>
      {shown.before && <p className="text-quiet">Before: {glued(shown.before)}</p>}
      <Misfit job={job} suspects={suspects} />
    </div>
  )
}
