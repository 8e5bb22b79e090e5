import { useState } from 'react'
import { sayMornings, type Outcome, type Tonight } from '../api/tonight'
import { ErrorNote } from '../ui/ErrorNote'
import { Segments } from '../ui/Segments'
import { useWrite } from '../writes/useWrite'

/** How a start can have gone, in the words of the yard. */
const OUTCOMES: readonly { key: Outcome; label: string }[] = [
  { key: 'started', label: 'Started' },
  { key: 'slow', label: 'Slow' },
  { key: 'failed', label: 'Failed' },
  { key: 'jumped', label: 'Jumped' },
  { key: 'helped', label: 'Heated or charged' },
  { key: 'other', label: 'Something else' },
]
const NOTHING = {}

/** The morning's one tap; without a network it shows what waits to be sent. */
export function MorningTap({
  unit,
  dawn,
  outcome,
}: {
  unit: { id: string; name: string }
  dawn: string
  outcome: Outcome | null
}) {
  const [waiting, setWaiting] = useState<Outcome>()
  const say = useWrite<object, Tonight>({
    name: `morning:${unit.id}:${dawn}`,
    empty: NOTHING,
    onSaved: () => {
      setWaiting(undefined)
    },
  })
  return (
    <>
      <Segments
        label={`How ${unit.name} started this morning`}
        options={OUTCOMES}
        chosen={(say.error ? null : waiting) ?? outcome ?? undefined}
        onChoose={(chosen) => {
          setWaiting(chosen)
          const entry = { unit_id: unit.id, outcome: chosen }
          void say.write(() => sayMornings(dawn, [entry], `How ${unit.name} started`))
        }}
      />
      <ErrorNote error={say.error} />
    </>
  )
}
