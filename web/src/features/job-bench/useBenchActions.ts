import { useCallback, useState } from 'react'
import type { JobBench } from '../../shared/api/types'
import { condemn, endJob } from '../../shared/api/jobs'
import { useBenchWrite } from './useBenchWrite'
import type { PadTarget } from '../../shared/pad/pad'

/** What the next-step button does, by the kind of step. */
export function useBenchActions(job: JobBench) {
  const [pad, setPad] = useState<PadTarget | null>(null)
  const [repairing, setRepairing] = useState(false)
  const [attention, setAttention] = useState(0)
  const condemning = useBenchWrite(job.id, {
    name: 'condemn',
    empty: {},
    onSaved: () => {
      setRepairing(true)
    },
  })
  const ending = useBenchWrite(job.id, { name: 'next-ending', empty: {} })
  const step = job.next_step

  const finish = (how: 'close' | 'park') => {
    void ending.write(() => endJob(job, how, ''))
  }
  const condemnFirst = () => {
    const done = job.condemnations.some(
      (one) => one.position === step.position && one.element_label === step.element_label,
    )
    const { element, unit, position } = step
    if (done || !(element ?? unit)) {
      setRepairing(true)
      return
    }
    const part = unit ? { unit } : { element }
    void condemning.write((id) => condemn(job, { id, position, ...part }, step.element_label ?? step.title))
  }

  const doNext = () => {
    switch (step.kind) {
      case 'measure':
      case 'charge':
      case 'prove':
      case 'repeat':
        if (step.probe) setPad({ testKey: null, probe: step.probe, position: null, acknowledged: true })
        else if (step.test_key) {
          const { test_key: testKey, position, together } = step
          setPad({ testKey, position, together, acknowledged: true })
        }
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

  return { pad, setPad, repairing, setRepairing, attention, saved, doNext, error: condemning.error ?? ending.error }
}
