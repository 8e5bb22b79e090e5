import { useQuery } from '@tanstack/react-query'
import { useLocation } from 'react-router'
import { Field } from '../../shared/ui/Field'
import { mayBeBelowZero, TurnSign } from '../../shared/ui/TurnSign'
import { useDraft } from '../../shared/drafts/useDraft'
import type { HttpError } from '../../shared/api/http'
import { worked, type Sum, type Typed } from '../../shared/api/sums'
import { MarksChart } from './MarksChart'
import { UseOnUnit } from './UseOnUnit'

type Input = Sum['inputs'][number]

function Entry({
  input,
  value,
  error,
  onValue,
}: {
  input: Input
  value: string
  error: string | undefined
  onValue: (next: string) => void
}) {
  const label = input.unit ? `${input.label}, ${input.unit}` : input.label
  return (
    <Field label={label} help={input.help ?? undefined} error={error}>
      {(wiring) =>
        input.words.length > 0 ? (
          <select
            {...wiring}
            value={value}
            onChange={(event) => {
              onValue(event.target.value)
            }}
          >
            {input.words.map((word) => (
              <option key={word}>{word}</option>
            ))}
          </select>
        ) : (
          <span className="flex gap-2">
            <input
              {...wiring}
              value={value}
              inputMode={input.kind === 'number' ? 'decimal' : 'text'}
              autoComplete="off"
              className="min-w-0 flex-1"
              onChange={(event) => {
                onValue(event.target.value)
              }}
            />
            {mayBeBelowZero(input.unit) && <TurnSign of={label} text={value} onText={onValue} />}
          </span>
        )
      }
    </Field>
  )
}

/** More figures than this stand in two columns, so that the answer stays in sight of them. */
const MANY = 6

/** One calculator: figures in, the answer as the largest thing beside them, its formula and source under it. */
export function OneSum({ sum }: { sum: Sum }) {
  const defaults: Typed = Object.fromEntries(sum.inputs.map((input) => [input.key, input.default]))
  // One that is kept on a unit begins with its own figures.
  const kept = useLocation().state as { kept: string; typed: Typed } | null
  const [typed, keep] = useDraft<Typed>(`sum:${sum.key}${kept ? `:${kept.kept}` : ''}`, { ...defaults, ...kept?.typed })
  const { data, error } = useQuery(worked(sum.key, typed))
  const refused = error as HttpError | null
  const atField = (key: string) => refused?.fields[key]?.[0]
  const elsewhere = refused && !sum.inputs.some((input) => atField(input.key))
  return (
    <article aria-labelledby="sum-title" className="grid gap-8 desk:grid-cols-2">
      <div className="flex flex-col gap-4">
        <h2 id="sum-title" className="text-reading leading-tight">
          {sum.title}
        </h2>
        {sum.caution && <p className="border-l-4 border-act pl-4 font-semibold">{sum.caution}</p>}
        <div className={`grid items-start gap-4 ${sum.inputs.length > MANY ? 'grid-cols-2' : ''}`}>
          {sum.inputs.map((input) => (
            <Entry
              key={input.key}
              input={input}
              value={typed[input.key] ?? ''}
              error={atField(input.key)}
              onValue={(value) => {
                keep({ ...typed, [input.key]: value })
              }}
            />
          ))}
        </div>
      </div>
      <div className="flex flex-col gap-3 self-start desk:sticky desk:top-6">
        <div aria-live="polite">
          {refused ? (
            <p className="font-semibold text-act">{elsewhere ? refused.message : 'Look at the marked figure.'}</p>
          ) : (
            <>
              <p className="text-display leading-tight font-semibold">{data?.answer}</p>
              {data?.lines.map((line) => (
                <p key={line} className="text-lead">
                  {line}
                </p>
              ))}
              {data?.marks && <MarksChart marks={data.marks} />}
            </>
          )}
        </div>
        {data && !refused && <UseOnUnit sum={sum} typed={typed} />}
        <dl className="rule-above grid grid-cols-[5rem_1fr] gap-x-4 gap-y-1 pt-3">
          <dt className="font-label text-quiet">Formula</dt>
          <dd>{sum.formula}</dd>
          <dt className="font-label text-quiet">Source</dt>
          <dd>{sum.source}</dd>
        </dl>
      </div>
    </article>
  )
}
