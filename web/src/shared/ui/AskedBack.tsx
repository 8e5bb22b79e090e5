import type { Question } from '../api/types'
import { Button } from './Button'

const bringIntoView = (element: HTMLElement | null) => {
  element?.scrollIntoView({ block: 'nearest' })
}

/** An odd value is asked about before it is kept: what it may have meant, a button each. */
export function AskedBack({ question, onAnswer }: { question: Question; onAnswer: (value: number | null) => void }) {
  return (
    <div ref={bringIntoView} role="alert" className="flex scroll-mb-6 flex-col gap-2 border-l-4 border-watch pl-4">
      <p className="font-semibold">{question.text}</p>
      <div className="flex flex-wrap gap-2">
        {question.options.map((option) => (
          <Button
            key={option.label}
            onClick={() => {
              onAnswer(option.value)
            }}
          >
            {option.label}
          </Button>
        ))}
      </div>
    </div>
  )
}
