import { Button } from '../../../shared/ui/Button'
import { spokenAnswer, type Answer } from './answers'
import type { CircuitItem, NextLook as Look } from '../../../shared/api/circuits'
import { spokenItem } from '../spoken'

const few = (items: CircuitItem[]) =>
  [...items.slice(0, 2).map(spokenItem), ...(items.length > 2 ? [`${items.length - 2} more`] : [])].join(' or ')

/** The one thing whose answer tells the causes apart best, answered on the spot. */
export function NextLook({ look, onAnswer }: { look: Look; onAnswer: (answer: Answer) => void }) {
  const signal = look.answers.some(({ word }) => word === 'low')
  return (
    <section aria-label="Look at next" className="bg-copper p-5 text-on-copper">
      <h3 className="pb-3 text-lead">Look at next: {look.label}</h3>
      <div className="grid grid-cols-[auto_1fr] items-center gap-x-4 gap-y-2">
        {look.answers.map(({ word, items }) => (
          <div key={word} className="contents">
            <Button
              look="filled"
              onClick={() => {
                onAnswer(word)
              }}
            >
              {spokenAnswer(word, signal)}
            </Button>
            <span>then most likely {few(items)}</span>
          </div>
        ))}
      </div>
    </section>
  )
}
