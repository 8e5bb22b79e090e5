import { useState } from 'react'
import { Button } from '../ui/Button'
import { Segments } from '../ui/Segments'

export interface Difference {
  field: string
  label: string
  mine: string
  theirs: string
}

const SIDES = [
  { key: 'mine', label: 'mine' },
  { key: 'theirs', label: 'theirs' },
] as const
type Side = (typeof SIDES)[number]['key']

/** Somebody else saved meanwhile: both versions side by side, chosen field by field; nothing is overwritten unseen. */
export function BothVersions({
  differences,
  onChosen,
}: {
  differences: Difference[]
  onChosen: (sides: Record<string, Side>) => void
}) {
  const [sides, setSides] = useState<Record<string, Side>>({})
  const open = differences.filter((one) => !sides[one.field])
  return (
    <section role="alert" aria-label="Both versions" className="flex flex-col gap-3 border-l-4 border-watch pl-4">
      <p className="font-semibold">Somebody else changed this meanwhile. Choose which holds, line by line.</p>
      <ul>
        {differences.map(({ field, label, mine, theirs }) => (
          <li key={field} className="rule-below flex flex-wrap items-center justify-between gap-x-6 gap-y-2 py-2">
            <span className="min-w-0">
              <span className="font-label font-bold">{label}</span>
              <span className="block">
                mine: {mine || 'empty'}, theirs: {theirs || 'empty'}
              </span>
            </span>
            <Segments
              label={label}
              options={SIDES}
              chosen={sides[field]}
              onChoose={(side) => {
                setSides({ ...sides, [field]: side })
              }}
            />
          </li>
        ))}
      </ul>
      <Button
        className="self-start"
        disabled={open.length > 0}
        onClick={() => {
          onChosen(sides)
        }}
      >
        Go on with these
      </Button>
    </section>
  )
}
