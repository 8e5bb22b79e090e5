import { useState } from 'react'
import type { JobBench, NewReading, ProbeCard, TestCard } from '../../shared/api/types'
import { correctReading, takeReading } from '../../shared/api/jobs'
import { useBenchWrite } from './useBenchWrite'
import { EMPTY_DRAFT, entryFrom, togetherFrom, type PadDraft, type PadTarget } from '../../shared/pad/pad'

/** Its state goes with its points. */
function atPoints(probe: ProbeCard, { state: situation = probe.situation, ...entry }: NewReading): NewReading {
  const { by, opened } = probe
  return { ...entry, probe: { by, from: probe.from.node, to: probe.to.node, situation, opened } }
}

/** What is on the pad, and its way to the server: as a new reading, or as the correction of one. */
export function usePadSave(
  job: JobBench,
  test: TestCard,
  target: PadTarget,
  onSaved: (job: JobBench) => void,
  onWaiting: () => void,
) {
  const { correcting, position } = target
  const beside = correcting ? [] : job.tests.filter((one) => target.together?.includes(one.key))
  const [empty] = useState(EMPTY_DRAFT)
  const pad = useBenchWrite<PadDraft>(job.id, {
    name: `reading:${test.key}:${position ?? ''}:${correcting?.id ?? ''}${target.undone ? ':undone' : ''}`,
    empty,
    onSaved,
    onWaiting,
  })
  const acknowledged = test.cautions.filter((caution) => caution.acknowledge).map((caution) => caution.id)
  /** All of one act, by their names: what waits without network says what it is. */
  const take = (entry: NewReading, draft: PadDraft) => {
    const together = togetherFrom(draft, beside)
    if (together.length === 0) return takeReading(job, entry, test.short)

    const others = beside.filter((one) => together.some(({ test_key }) => test_key === one.key)).map((one) => one.short)
    return takeReading(job, { ...entry, together }, [test.short, ...others].join(', '))
  }
  const save = (draft: PadDraft) =>
    pad.write((id) => {
      const said = target.undone ? { ...draft.said, repair_undone: 'yes' } : draft.said
      const entry = entryFrom({ ...draft, said }, test, id)
      if (target.probe && !correcting)
        return takeReading(job, atPoints(target.probe, { ...entry, acknowledged }), test.short)

      return correcting
        ? correctReading(job, correcting.id, { ...entry, reason: draft.reason }, test.short)
        : take({ ...entry, test_key: test.key, position, acknowledged }, draft)
    }, draft)
  return { ...pad, save, beside }
}
