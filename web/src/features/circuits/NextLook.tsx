import { Button } from '../../shared/ui/Button'
import { ANSWERS, type Answer } from './answers'
import type { CircuitItem, NextLook as Look } from '../../shared/api/circuits'
import { spokenItem } from './spoken'

const few = (items: CircuitItem[]) =>
  [...items.slice(0, 2).map(spokenItem), ...(items.length > 2 ? [`${items.length - 2} more`] : [])].join(' or ')

/** The one thing whose answer tells the causes apart best, answered on the spot. */
export function NextLook({ look, onAnswer }: { look: Look; onAnswer: (answer: Answer) => void }) {
  const points = { dead: few(look.if_dead), works: few(look.if_works) }
  return (
    <section aria-label="Look at next" className="bg-copper p-5 text-on-copper">
      <h3 className="pb-3 text-lead">Look at next: {look.label}</h3>
      <div className="grid grid-cols-[auto_1fr] items-center gap-x-4 gap-y-2">
        {ANSWERS.map((answer) => (
          <div key={answer.key} className="contents">
            <Button
              look="filled"
              onClick={() => {
                onAnswer(answer.key)
              }}
            >
              {answer.label}
            </Button>
            <span>then most likely {points[answer.key]}</span>
          </div>
        ))}
      </div>
    </section>
  )
}
