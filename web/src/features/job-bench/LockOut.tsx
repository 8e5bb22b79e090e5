import { noteDisturbance } from '../../shared/api/jobs'
import type { JobBench } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { useBenchWrite } from './useBenchWrite'

const NOTHING = {}
const LOCKED_OUT = 'Automatic start locked out'

/** Before anything else on a unit that starts by itself; it is put back, as all that was disturbed, before the job closes. */
export function LockOut({ job, mayWork }: { job: JobBench; mayWork: boolean }) {
  const { write, error, isPending } = useBenchWrite(job.id, { name: 'lock-out', empty: NOTHING })
  return (
    <section aria-labelledby="lock-out" className="bg-copper p-5 text-on-copper" data-step="lock_out">
      <h2 id="lock-out" className="text-reading leading-tight">
        Lock out automatic start
      </h2>
      <p className="pt-1">It starts by itself. Selector to off, lock and tag on it; then hands go in.</p>
      <p className="pt-2 font-semibold">
        AC output, transfer switch, neutral and earthing belong to a licensed electrician. Exhaust gas: never run it
        indoors.
      </p>
      {mayWork && (
        <Button
          look="filled"
          className="mt-4 w-full desk:w-auto"
          disabled={isPending}
          onClick={() => {
            void write((id) => noteDisturbance(job, id, LOCKED_OUT, true))
          }}
        >
          It is locked out
        </Button>
      )}
      <ErrorNote error={error} />
    </section>
  )
}
