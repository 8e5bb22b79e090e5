import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { Segments } from '../../shared/ui/Segments'
import { Button } from '../../shared/ui/Button'
import { ANSWERS, type Answer } from './answers'
import { commonCause, type CommonCause, type SheetTable } from '../../shared/api/circuits'
import { NextLook } from './NextLook'
import { spokenItem } from './spoken'

type Said = Record<string, Answer | undefined>

function OneCause({ cause, rank, onOpen }: { cause: CommonCause; rank: number; onOpen: (item: string) => void }) {
  const line = (title: string, words: string[]) =>
    words.length > 0 && (
      <div className="contents">
        <dt className="font-label text-quiet">{title}</dt>
        <dd>{words.join(', ')}</dd>
      </div>
    )
  const whole = cause.misses.length === 0 && cause.breaks.length === 0
  return (
    <li className="rule-below py-3">
      <p className="font-label text-lead font-bold">
        {rank}. {whole ? 'Explains all of it' : 'Explains part of it'}
      </p>
      <p className="py-1">
        {cause.items.slice(0, 8).map((item) => (
          <Button
            key={item.key}
            look="inline"
            className="mr-3"
            onClick={() => {
              onOpen(item.key)
            }}
          >
            {spokenItem(item)}
          </Button>
        ))}
        {cause.items.length > 8 && <span className="text-quiet">and {cause.items.length - 8} more</span>}
      </p>
      {cause.items.length > 1 && (
        <p className="text-quiet">No list of dead and working tells these apart: measure between them.</p>
      )}
      <dl className="grid grid-cols-[8rem_1fr] gap-x-4 pt-1">
        {line('Explains', cause.explains)}
        {line('Leaves working', cause.leaves)}
        {line('Does not explain', cause.misses)}
        {line('Would also kill', cause.breaks)}
        {line('Then dead too', cause.also_dead)}
      </dl>
    </li>
  )
}

/** These are dead, these work: which one opening explains it. */
export function CausePanel({ sheet, onOpen }: { sheet: SheetTable; onOpen: (item: string) => void }) {
  const [said, setSaid] = useState<Said>({})
  const [codes, setCodes] = useState('')
  const listed = (answer: Answer) => Object.keys(said).filter((key) => said[key] === answer)
  const dead = [...listed('dead'), ...codes.split(/[\s,;]+/).filter((code) => code !== '')]
  const { data: answer, error } = useQuery(commonCause(sheet.id, dead, listed('works')))
  const progress = answer && 'progress' in answer ? answer.progress : null
  const data = answer && 'causes' in answer ? answer : null
  const say = (key: string, answer: Answer | undefined) => {
    setSaid((before) => ({ ...before, [key]: answer }))
  }
  const look = data?.next_look
  return (
    <div className="flex flex-col gap-5">
      <header>
        <h2 className="text-reading leading-tight">These are dead, these work</h2>
        <p className="text-quiet">Say what was seen; what nobody looked at stays unsaid.</p>
      </header>
      {dead.length > 0 && (
        <section aria-label="Common cause" aria-live="polite">
          <ErrorNote error={error} />
          {progress && (
            <p role="status">
              Working out what falls dead with each of {progress.total} wires and parts: {progress.done} done. You can
              leave; it goes on.
            </p>
          )}
          {look && (
            <NextLook
              look={look}
              onAnswer={(answer) => {
                say(look.key, answer)
              }}
            />
          )}
          <ol className={look ? 'pt-4' : ''}>
            {data?.causes.slice(0, 3).map((cause, index) => (
              <OneCause
                key={cause.items.map((item) => item.key).join()}
                cause={cause}
                rank={index + 1}
                onOpen={onOpen}
              />
            ))}
          </ol>
          {data?.pairs[0] && (
            <p className="pt-2">
              <strong className="font-semibold">Or two faults at once:</strong>{' '}
              {data.pairs[0].map((cause) => cause.items.slice(0, 1).map(spokenItem).join()).join(' and ')}.
            </p>
          )}
        </section>
      )}
      <Field label="Trouble codes that are set" help="P0201 P0202, a space between">
        {(wiring) => (
          <input
            {...wiring}
            value={codes}
            onChange={(event) => {
              setCodes(event.target.value.toUpperCase())
            }}
          />
        )}
      </Field>
      <div>
        {sheet.watches.map((watch) => (
          <div key={watch.key} className="rule-below flex items-center justify-between gap-4 py-1">
            <span>
              {watch.label} <span className="text-quiet">{watch.codes.join(' ')}</span>
            </span>
            <Segments
              label={watch.label}
              options={ANSWERS}
              size="dense"
              chosen={said[watch.key]}
              onChoose={(answer) => {
                say(watch.key, answer)
              }}
              onUnsay={() => {
                say(watch.key, undefined)
              }}
            />
          </div>
        ))}
      </div>
    </div>
  )
}
