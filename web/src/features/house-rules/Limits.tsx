import { useState } from 'react'
import { Button } from '../../shared/ui/Button'
import { Field } from '../../shared/ui/Field'
import { Sheet } from '../../shared/ui/Sheet'
import type { Limit } from '../../shared/api/houseRules'
import { LimitForm } from './LimitForm'

const matches = (limit: Limit, words: string) =>
  `${limit.name} ${limit.id} ${limit.subject} ${limit.source} ${limit.source_kind}`
    .toLowerCase()
    .includes(words.trim().toLowerCase())

function Line({ limit, onChange }: { limit: Limit; onChange: (() => void) | undefined }) {
  return (
    <li className="rule-below grid grid-cols-[1fr_auto] items-baseline gap-x-4 py-2 desk:grid-cols-[20rem_9rem_1fr_4rem]">
      <span>
        <span className="font-label font-bold">{limit.name}</span>
        <span className="block text-quiet break-words">{limit.id}</span>
      </span>
      <span className="text-lead font-semibold desk:text-right">
        {limit.value} <span className="text-base font-normal">{limit.unit}</span>
      </span>
      <span className="col-span-2 text-quiet desk:col-span-1">
        {limit.shipped_value !== null && (
          <strong className="block font-semibold text-ink">
            {limit.reason} ({limit.person}; shipped {limit.shipped_value} {limit.unit})
          </strong>
        )}
        {limit.source_kind}: {limit.source}
      </span>
      <span className="col-span-2 desk:col-span-1 desk:text-right">
        {limit.fixed && <span className="text-quiet">fixed</span>}
        {onChange && !limit.fixed && (
          <Button look="inline" aria-label={`Change ${limit.name}`} onClick={onChange}>
            Change
          </Button>
        )}
      </span>
    </li>
  )
}

/** One thing that is judged, folded until somebody opens it or looks for a word. */
function Subject({
  name,
  limits,
  begins,
  onChange,
}: {
  name: string
  limits: Limit[]
  /** Whether it is open to begin with. */
  begins: boolean
  onChange: ((limit: Limit) => void) | undefined
}) {
  const [open, setOpen] = useState(begins)
  const set = limits.filter((limit) => limit.shipped_value !== null).length
  return (
    <details open={open}>
      <summary
        className="rule-below flex min-h-12 cursor-pointer items-center gap-2 py-2 font-label text-lead font-bold"
        onClick={(event) => {
          event.preventDefault()
          setOpen(!open)
        }}
      >
        <Turned open={open} /> {name}
        <span className="font-normal text-quiet">
          {limits.length}
          {set > 0 && `, ${String(set)} set by this fleet`}
        </span>
      </summary>
      {open && (
        <ul>
          {limits.map((limit) => (
            <Line
              key={limit.id}
              limit={limit}
              onChange={
                onChange &&
                (() => {
                  onChange(limit)
                })
              }
            />
          ))}
        </ul>
      )}
    </details>
  )
}

const Turned = ({ open }: { open: boolean }) => (
  <span aria-hidden className="w-4 shrink-0 text-quiet">
    {open ? '▾' : '▸'}
  </span>
)

/** Every limit with its source; a lead sets another figure where the fleet knows better, with the reason beside it. */
export function Limits({ limits, subjects, mayChange }: { limits: Limit[]; subjects: string[]; mayChange: boolean }) {
  const [words, setWords] = useState('')
  const [changing, setChanging] = useState<Limit | null>(null)
  const shown = limits.filter((limit) => matches(limit, words))
  const close = () => {
    setChanging(null)
  }
  return (
    <section aria-labelledby="limits">
      <h2 id="limits" className="rule-below pb-1 text-lead">
        Limits <span className="text-quiet">{shown.length}</span>
      </h2>
      <div className="max-w-md py-3">
        <Field label="Show only">
          {(wiring) => (
            <input
              {...wiring}
              value={words}
              placeholder="drop, 24, set by the fleet …"
              onChange={(event) => {
                setWords(event.target.value)
              }}
            />
          )}
        </Field>
      </div>
      {shown.length === 0 && <p>No limit by that word.</p>}
      {subjects.map((subject) => {
        const about = shown.filter((limit) => limit.subject === subject)
        return (
          about.length > 0 && (
            <Subject
              key={`${subject}${words}`}
              name={subject}
              limits={about}
              begins={words.trim() !== ''}
              onChange={mayChange ? setChanging : undefined}
            />
          )
        )
      })}
      <Sheet title={changing?.name ?? ''} open={changing !== null} onClose={close}>
        {changing && <LimitForm limit={changing} onDone={close} />}
      </Sheet>
    </section>
  )
}
