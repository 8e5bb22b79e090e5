import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { ErrorNote } from '../../../shared/ui/ErrorNote'
import { Field } from '../../../shared/ui/Field'
import { Segments } from '../../../shared/ui/Segments'
import { Button } from '../../../shared/ui/Button'
import { ANSWERS, SIGNAL_ANSWERS, spokenAnswer, type Answer } from './answers'
import { commonCause, type SheetTable } from '../../../shared/api/circuits'
import { NextLook } from './NextLook'
import { OneCause } from './OneCause'
import { anythingBad, keyOf, listed, parted, type Said } from './said'
import { spokenItem } from '../spoken'
import { TextField } from '../../../shared/ui/TextField'

type Watch = SheetTable['watches'][number]
const isSignal = (watch: Watch | undefined) => watch?.kind === 'signal'

/** What was seen in other key states than the one that is shown. */
function SaidElsewhere({
  said,
  state,
  sheet,
  onUnsay,
}: {
  said: Said
  state: string
  sheet: SheetTable
  onUnsay: (key: string) => void
}) {
  const other = Object.entries(said)
    .filter(([, answer]) => answer)
    .map(([key, answer]) => ({ key, answer, ...parted(key, sheet.watches) }))
    .filter((one) => one.state !== state)
  if (other.length === 0) return null
  return (
    <ul className="flex flex-wrap gap-x-6">
      {other.map(({ key, answer, ...seen }) => {
        const watch = sheet.watches.find((one) => one.key === seen.watch)
        const where = sheet.states.find((one) => one.key === seen.state)?.label ?? 'whenever it should work'
        return (
          <li key={key}>
            {watch?.label} {answer && spokenAnswer(answer, isSignal(watch))} ({where}){' '}
            <Button
              look="inline"
              onClick={() => {
                onUnsay(key)
              }}
            >
              take back
            </Button>
          </li>
        )
      })}
    </ul>
  )
}

/** These are dead, these work: which one thing explains it. */
export function CausePanel({ sheet, onOpen }: { sheet: SheetTable; onOpen: (item: string) => void }) {
  const [said, setSaid] = useState<Said>({})
  const [state, setState] = useState('')
  const [codes, setCodes] = useState('')
  const seen = listed(
    said,
    codes.split(/[\s,;]+/).filter((code) => code !== ''),
  )
  const { data: answer, error } = useQuery(commonCause(sheet.id, seen, anythingBad(seen)))
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
      {anythingBad(seen) && (
        <section aria-label="Common cause" aria-live="polite">
          <ErrorNote error={error} />
          {progress && (
            <p role="status">
              Working out what each of {progress.total} faults does to all of this: {progress.done} done. You can leave;
              it goes on.
            </p>
          )}
          {data?.says_nothing.map((sentence) => (
            <p key={sentence}>{sentence}: that tells nothing, and is left out.</p>
          ))}
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
      <div className="grid gap-5 sm:grid-cols-2">
        <TextField
          label="Trouble codes that are set"
          help="P0201 P0202, a space between"
          value={codes}
          onText={(text) => {
            setCodes(text.toUpperCase())
          }}
        />
        <Field label="Seen" help="one station that works beside one that does not tells most">
          {(wiring) => (
            <select
              {...wiring}
              value={state}
              onChange={(event) => {
                setState(event.target.value)
              }}
            >
              <option value="">whenever it should work</option>
              {sheet.states.map((one) => (
                <option key={one.key} value={one.key}>
                  {one.label}
                </option>
              ))}
            </select>
          )}
        </Field>
      </div>
      <SaidElsewhere
        said={said}
        state={state}
        sheet={sheet}
        onUnsay={(key) => {
          say(key, undefined)
        }}
      />
      <div>
        {sheet.watches.map((watch) => (
          <div key={watch.key} className="rule-below flex flex-wrap items-center justify-between gap-x-4 gap-y-1 py-1">
            <span className="w-full sm:w-auto">
              {watch.label} <span className="text-quiet">{watch.codes.join(' ')}</span>
            </span>
            <Segments<Answer>
              label={watch.label}
              options={isSignal(watch) ? SIGNAL_ANSWERS : ANSWERS}
              size="dense"
              chosen={said[keyOf(watch.key, state)]}
              onChoose={(answer) => {
                say(keyOf(watch.key, state), answer)
              }}
              onUnsay={() => {
                say(keyOf(watch.key, state), undefined)
              }}
            />
          </div>
        ))}
      </div>
    </div>
  )
}
