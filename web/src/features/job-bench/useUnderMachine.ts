import { useQuery } from '@tanstack/react-query'
import { bench, comeOut, goUnder, underMachinePath } from '../../shared/api/jobs'
import type { JobBench } from '../../shared/api/types'
import { useUnsent } from '../../shared/unsent/useUnsent'
import { usePerson } from '../../shared/session/session'
import { useBenchWrite } from './useBenchWrite'

/** How often it is asked whether somebody crawled under meanwhile and said so elsewhere. */
const OTHERS_MILLISECONDS = 3_000
const OUT = { under: false }

/**
 * Who is under the machine, said here or on any other device. Going under holds at once, with or without a network; coming out holds when
 * the server has it, or when it waits on this device.
 */
export function useUnderMachine(job: JobBench) {
  const me = usePerson().id
  const { data: known = job } = useQuery({ ...bench(job.id), refetchInterval: OTHERS_MILLISECONDS })
  const say = useBenchWrite(job.id, { name: 'under-machine', empty: OUT })
  const waiting = useUnsent(me).waiting.filter(
    ({ wish }) => wish.path === underMachinePath(job) && wish.body.person_id === undefined,
  )
  const said = waiting.at(-1)?.wish.body.somebody
  return {
    mine: say.value.under || (said ?? known.under_machine.some((one) => one.person_id === me)) === true,
    others: known.under_machine.filter((one) => one.person_id !== me),
    isPending: say.isPending,
    error: say.error,
    tell: (under: boolean) => {
      say.change({ under })
      void say.write(() => (under ? goUnder(job) : comeOut(job)), { under })
    },
    answered: (one: JobBench['under_machine'][number]) => {
      void say.write(() => comeOut(job, one))
    },
  }
}
