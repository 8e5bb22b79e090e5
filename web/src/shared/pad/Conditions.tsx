import { useId } from 'react'
import type { Condition } from '../api/types'
import { Button } from '../ui/Button'
import { Segments } from '../ui/Segments'
import { mayBeBelowZero, TurnSign } from '../ui/TurnSign'

const YES_NO = [
  { key: 'yes', label: 'yes' },
  { key: 'no', label: 'no' },
] as const

type Said = Record<string, string>

interface Answering {
  condition: Condition
  answer: string
  onAnswer: (next: string) => void
}

function YesNo({ condition, answer, onAnswer }: Answering) {
  return (
    <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
      <span className="min-w-0 flex-1" title={condition.help}>
        {condition.label}
        {condition.required && <span className="text-quiet"> needed</span>}
      </span>
      <Segments
        label={condition.label}
        size="answer"
        options={YES_NO}
        chosen={YES_NO.find((option) => option.key === answer)?.key}
        onChoose={onAnswer}
        onUnsay={() => {
          onAnswer('')
        }}
      />
    </div>
  )
}

function Figure({ condition, answer, onAnswer }: Answering) {
  const id = useId()
  return (
    <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
      <label htmlFor={id} className="min-w-0 flex-1 font-figure" title={condition.help}>
        {condition.label}
        {condition.required && <span className="text-quiet"> needed</span>}
      </label>
      <span className={`flex items-center gap-2 ${mayBeBelowZero(condition.unit) ? 'w-46' : 'w-32'}`}>
        {mayBeBelowZero(condition.unit) && <TurnSign of={condition.label} text={answer} onText={onAnswer} />}
        <input
          id={id}
          inputMode="decimal"
          autoComplete="off"
          value={answer}
          onChange={(event) => {
            onAnswer(event.target.value)
          }}
        />
        <span className="w-10 flex-none">{condition.unit}</span>
      </span>
    </div>
  )
}

/** So few words stand side by side, more in a list. */
const MOST_SIDE_BY_SIDE = 3

function FewWords({ condition, answer, onAnswer }: Answering) {
  const options = condition.words.map((word) => ({ key: word, label: word }))
  return (
    <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
      <span className="min-w-0" title={condition.help}>
        {condition.label}
      </span>
      <Segments
        label={condition.label}
        size="answer"
        options={options}
        chosen={options.find((option) => option.key === answer)?.key}
        onChoose={onAnswer}
        onUnsay={() => {
          onAnswer('')
        }}
      />
    </div>
  )
}

function Word(answering: Answering) {
  return answering.condition.words.length > MOST_SIDE_BY_SIDE ? (
    <ManyWords {...answering} />
  ) : (
    <FewWords {...answering} />
  )
}

function ManyWords({ condition, answer, onAnswer }: Answering) {
  const id = useId()
  return (
    <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
      <label htmlFor={id} className="min-w-0 flex-1 font-figure" title={condition.help}>
        {condition.label}
      </label>
      <span className="w-32">
        <select
          id={id}
          value={answer}
          onChange={(event) => {
            onAnswer(event.target.value)
          }}
        >
          <option value="">not said</option>
          {condition.words.map((word) => (
            <option key={word}>{word}</option>
          ))}
        </select>
      </span>
    </div>
  )
}

const ANSWERED_BY = { yes_no: YesNo, number: Figure, word: Word } as const

/** The conditions a reading needs: each yes, no, or not said. Nothing is taken as yes. */
export function Conditions({
  conditions,
  said,
  onSaid,
}: {
  conditions: Condition[]
  said: Said
  onSaid: (next: Said) => void
}) {
  if (conditions.length === 0) return null

  const answer = (key: string, value: string) => {
    onSaid({ ...said, [key]: value })
  }
  const required = conditions.filter((condition) => condition.required && condition.kind === 'yes_no')
  return (
    <fieldset className="flex flex-col gap-3">
      <legend className="pb-2 font-bold">Conditions</legend>
      {required.length > 1 && (
        <Button
          onClick={() => {
            onSaid({ ...said, ...Object.fromEntries(required.map((condition) => [condition.key, 'yes'])) })
          }}
        >
          All that is needed holds
        </Button>
      )}
      {conditions.map((condition) => {
        const Answered = ANSWERED_BY[condition.kind]
        return (
          <Answered
            key={condition.key}
            condition={condition}
            answer={said[condition.key] ?? ''}
            onAnswer={(value) => {
              answer(condition.key, value)
            }}
          />
        )
      })}
    </fieldset>
  )
}
