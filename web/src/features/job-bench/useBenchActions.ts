import { useCallback, useState } from 'react'
import type { JobBench } from '../../shared/api/types'
import { useRequestId } from '../../shared/drafts/useRequestId'
import { useCondemn, useEndJob } from './api'
import type { PadTarget } from './pad'

/** What the next-step button does, by the kind of step. */
export function useBenchActions(job: JobBench) {
  const [pad, setPad] = useState<PadTarget | null>(null)
  const [repairing, setRepairing] = useState(false)
  const [attention, setAttention] = useState(0)
  const [requestId, renew] = useRequestId()
  const condemn = useCondemn(job.id)
  const end = useEndJob(job.id)
  const step = job.next_step

  const finish = (ending: 'close' | 'park') => {
    end.mutate({ requestId, ending, lockVersion: job.lock_version, reason: '' }, { onSettled: renew })
  }
  const condemnFirst = () => {
    const done = job.condemnations.some(
      (one) => one.position === step.position && one.element_label === step.element_label,
    )
    if (done || !step.element) {
      setRepairing(true)
      return
    }
    condemn.mutate(
      { requestId, element: step.element, position: step.position },
      {
        onSuccess: () => {
          setRepairing(true)
        },
        onSettled: renew,
      },
    )
  }

  const doNext = () => {
    switch (step.kind) {
      case 'measure':
      case 'charge':
      case 'prove':
      case 'repeat':
        if (step.test_key) setPad({ testKey: step.test_key, position: step.position, acknowledged: true })
        break
      case 'condemn':
        condemnFirst()
        break
      case 'repair':
        setRepairing(true)
        break
      case 'put_back':
        document.querySelector<HTMLElement>('#disturbed-section button')?.focus()
        break
      case 'close':
        finish('close')
        break
      case 'watch':
        finish('park')
    }
  }
  const saved = useCallback(() => {
    setPad(null)
    setAttention((count) => count + 1)
  }, [])

  return { pad, setPad, repairing, setRepairing, attention, saved, doNext, error: condemn.error ?? end.error }
}
