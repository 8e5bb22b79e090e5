import type { JobBench, TestCard } from '../../shared/api/types'
import { CrankCount, CrankTick } from '../../shared/pad/CrankCount'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { useUnderMachine } from './useUnderMachine'

interface Props {
  job: JobBench
  test: TestCard
  beside: TestCard[]
  ready: boolean
}

/** The call to crank on a job: whoever works on it is heard on every device. */
export function CrankCall({ job, test, beside, ready }: Props) {
  const { mine, others, isPending, error, tell, answered } = useUnderMachine(job)
  const who = (
    <>
      {others.map((one) => (
        <p key={one.person_id} className="font-semibold">
          {one.person} is under the machine.{' '}
          <Button
            look="inline"
            disabled={isPending}
            onClick={() => {
              answered(one)
            }}
          >
            Answered and out
          </Button>
        </p>
      ))}
      <ErrorNote error={error} />
    </>
  )
  return (
    <CrankCount
      test={test}
      beside={beside}
      ready={ready}
      under={mine || others.length > 0}
      who={who}
      tick={
        <CrankTick label="I am, or somebody with me is, under the machine" on={mine} busy={isPending} onTick={tell} />
      }
    />
  )
}
