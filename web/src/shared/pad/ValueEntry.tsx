import { useEffect, useRef, type ReactNode } from 'react'
import type { TestCard } from '../api/types'
import { written } from '../quantities/written'
import { Segments } from '../ui/Segments'
import { Digits } from './Digits'
import type { PadDraft } from './pad'

interface Props {
  test: TestCard
  draft: PadDraft
  error: string | undefined
  onDraft: (next: PadDraft) => void
  /** What is written in the same act, between the figure and the digits. */
  beside?: ReactNode
  /** Where the digits go instead, while another figure is written. */
  digits?: { text: string; onText: (next: string) => void } | undefined
  onWriting: () => void
}

function Observation({ test, draft, onDraft }: Pick<Props, 'test' | 'draft' | 'onDraft'>) {
  return (
    <fieldset>
      <legend className="pb-2 font-bold">What it did</legend>
      <div className="grid gap-2 desk:grid-cols-2">
        {test.choices.map((choice, index) => (
          <label
            key={choice.key}
            className={`flex min-h-14 items-center gap-3 border px-3 text-lead ${draft.observation === choice.key ? 'border-ink font-bold' : 'border-quiet'}`}
          >
            <input
              type="radio"
              name="observation"
              value={choice.key}
              // The pad opens for this field: the keyboard belongs here.
              // eslint-disable-next-line jsx-a11y/no-autofocus
              autoFocus={index === 0}
              checked={draft.observation === choice.key}
              onChange={() => {
                onDraft({ ...draft, observation: choice.key })
              }}
            />
            {choice.label}
          </label>
        ))}
      </div>
    </fieldset>
  )
}

function Cells({ test, draft, onDraft }: Props) {
  return (
    <fieldset>
      <legend className="pb-2 font-bold">Specific gravity, positive end first</legend>
      <div className="grid grid-cols-3 gap-2">
        {Array.from({ length: test.cells }, (_, index) => (
          <input
            key={index}
            aria-label={`Cell ${index + 1}`}
            inputMode="decimal"
            className="text-reading"
            value={draft.cells[index] ?? ''}
            onChange={(event) => {
              const cells = Array.from({ length: test.cells }, (__, cell) => draft.cells[cell] ?? '')
              cells[index] = event.target.value
              onDraft({ ...draft, cells })
            }}
          />
        ))}
      </div>
    </fieldset>
  )
}

function Units({ test, draft, onDraft }: Props) {
  const unit = draft.unit || test.units[0]
  if (test.units.length < 2) return <span className="text-reading">{written(unit ?? '')}</span>
  return (
    <Segments
      label="Unit"
      size="tall"
      options={test.units.map((symbol) => ({ key: symbol, label: written(symbol) }))}
      chosen={unit}
      onChoose={(symbol) => {
        onDraft({ ...draft, unit: symbol })
      }}
    />
  )
}

function Figure(props: Props) {
  const { test, draft, error, onDraft, beside, digits, onWriting } = props
  const box = useRef<HTMLInputElement>(null)
  useEffect(() => box.current?.focus(), [test.key])
  return (
    <div className="flex flex-col gap-3">
      <label htmlFor="pad-value" className="font-bold">
        Reading
      </label>
      <span className="flex flex-wrap items-center gap-3">
        <input
          id="pad-value"
          ref={box}
          inputMode="decimal"
          autoComplete="off"
          aria-invalid={error ? true : undefined}
          aria-describedby={error ? 'pad-value-error' : undefined}
          className="min-h-16 w-44! max-w-full text-display font-semibold"
          value={draft.text}
          onFocus={onWriting}
          onChange={(event) => {
            onDraft({ ...draft, text: event.target.value })
          }}
        />
        <Units {...props} />
      </span>
      {error && (
        <p id="pad-value-error" className="font-semibold text-act">
          {error}
        </p>
      )}
      {beside}
      <Digits
        text={digits?.text ?? draft.text}
        withOverload={test.quantity === 'resistance'}
        onText={
          digits?.onText ??
          ((text) => {
            onDraft({ ...draft, text })
          })
        }
      />
    </div>
  )
}

/** The value itself: a figure, six cells, or what was seen. */
export function ValueEntry(props: Props) {
  if (props.test.quantity === 'observation') return <Observation {...props} />
  if (props.test.cells > 1) return <Cells {...props} />
  return <Figure {...props} />
}
