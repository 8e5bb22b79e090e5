import { useCallback, useEffect, useRef } from 'react'
import type { JobBench, TestCard } from '../../shared/api/types'
import { useRequestId } from '../../shared/drafts/useRequestId'
import { useCorrectReading, useTakeReading } from './api'
import { entryFrom, type PadDraft, type PadTarget } from './pad'

/**
 * Sends what is on the pad. The same id goes out until it was answered, so a second tap or a retry makes no second reading;
 * a dead network is tried again by itself when it comes back.
 */
export function usePadSave(
  jobId: string,
  test: TestCard,
  target: PadTarget,
  acknowledged: string[],
  onSaved: (job: JobBench) => void,
) {
  const take = useTakeReading(jobId)
  const correct = useCorrectReading(jobId)
  const [requestId, renew] = useRequestId()
  const sent = useRef<PadDraft | null>(null)
  const { correcting } = target
  const active = correcting ? correct : take

  const save = useCallback(
    (draft: PadDraft) => {
      sent.current = draft
      const handlers = {
        onSuccess: onSaved,
        onError: (error: { status: number }) => {
          // An answered request may change before it goes out again; an unanswered one must stay the same.
          if (error.status > 0) renew()
        },
      }
      const entry = entryFrom(draft, test, requestId)
      if (correcting) {
        correct.mutate({ requestId, wrongId: correcting.id, body: { ...entry, reason: draft.reason } }, handlers)
      } else {
        const reading = { ...entry, test_key: test.key, position: target.position, acknowledged }
        take.mutate({ requestId, reading }, handlers)
      }
    },
    [acknowledged, correct, correcting, onSaved, renew, requestId, take, target.position, test],
  )

  const offline = active.error?.status === 0
  useEffect(() => {
    if (!offline) return
    const again = () => {
      if (sent.current) save(sent.current)
    }
    window.addEventListener('online', again)
    return () => {
      window.removeEventListener('online', again)
    }
  }, [offline, save])

  return { save, error: active.error, isPending: active.isPending }
}
