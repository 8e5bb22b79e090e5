import { useQuery } from '@tanstack/react-query'
import { sisterFacts, type SisterFacts } from '../../shared/api/units'
import { Button } from '../../shared/ui/Button'

export type Facts = NonNullable<SisterFacts['facts']>

const spoken = (facts: Facts) =>
  [
    facts.kind,
    `${facts.system_volt} V, ${facts.battery_count === 1 ? 'one battery' : `${facts.battery_count} batteries, ${facts.arrangement}`}`,
    facts.usual_cranking_current_ampere && `${facts.usual_cranking_current_ampere} A cranking`,
    facts.alternator_rating_ampere && `alternator ${facts.alternator_rating_ampere} A`,
  ]
    .filter(Boolean)
    .join(', ')

/** What most units of the class that was just named have in common: one tap instead of ten fields. */
export function AsSisters({ make, model, onTake }: { make: string; model: string; onTake: (facts: Facts) => void }) {
  const { data } = useQuery(sisterFacts(make.trim(), model.trim()))
  const facts = data?.facts
  if (!data || !facts) return null
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2 border-l-4 border-copper pl-4 desk:col-span-2">
      <p>
        <span className="font-semibold">
          {data.like} of {data.total} sister {data.total === 1 ? 'unit' : 'units'}
        </span>
        : {spoken(facts)}
      </p>
      <Button
        onClick={() => {
          onTake(facts)
        }}
      >
        Take that over
      </Button>
    </div>
  )
}
