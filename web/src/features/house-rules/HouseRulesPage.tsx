import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useMay } from '../../shared/session/session'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { Waiting } from '../../shared/ui/Waiting'
import { People } from './People'
import { Yards } from './Yards'
import { houseRules, useChooseSchool, type Limit, type School } from './api'

function SchoolChoice({ school, mayChoose }: { school: School; mayChoose: boolean }) {
  const choose = useChooseSchool()
  return (
    <fieldset className="rule-below py-4" disabled={!mayChoose || choose.isPending}>
      <legend className="float-left w-full pb-2 text-lead font-bold">{school.question}</legend>
      <div className="clear-both flex flex-col gap-1">
        {school.answers.map((answer) => (
          <label key={answer.key} className="flex min-h-12 items-center gap-3">
            <input
              type="radio"
              name={school.key}
              checked={school.chosen === answer.key}
              onChange={() => {
                choose.mutate({ question: school.key, answer: answer.key })
              }}
            />
            <span>
              <span className="font-bold">{answer.label}</span>
              {answer.key === school.default && <span className="text-quiet"> (default)</span>}
              <span className="block font-figure text-quiet">{answer.reason}</span>
            </span>
          </label>
        ))}
      </div>
      <p className="pt-1 text-quiet">Used by: {school.used_by}.</p>
      <ErrorNote error={choose.error} />
    </fieldset>
  )
}

const matches = (limit: Limit, words: string) =>
  `${limit.id} ${limit.source} ${limit.source_kind}`.toLowerCase().includes(words.trim().toLowerCase())

function Limits({ limits }: { limits: Limit[] }) {
  const [words, setWords] = useState('')
  const shown = limits.filter((limit) => matches(limit, words))
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
              placeholder="drop, 24, charging …"
              onChange={(event) => {
                setWords(event.target.value)
              }}
            />
          )}
        </Field>
      </div>
      {shown.length === 0 && <p>No limit by that word.</p>}
      <ul>
        {shown.map((limit) => (
          <li
            key={limit.id}
            className="rule-below grid grid-cols-[1fr_auto] items-baseline gap-x-4 py-2 desk:grid-cols-[20rem_9rem_1fr]"
          >
            <span className="font-label font-bold break-words">{limit.id}</span>
            <span className="text-lead font-semibold desk:text-right">
              {limit.value} <span className="text-base font-normal">{limit.unit}</span>
            </span>
            <span className="col-span-2 text-quiet desk:col-span-1">
              {limit.source_kind}: {limit.source}
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** What everything is judged by, and what the fleet chose where good people differ. */
export function HouseRulesPage() {
  const { data: rules, error, isPending } = useQuery(houseRules())
  const may = useMay()
  const mayChoose = may('set_house_rules')
  if (isPending) return <Waiting what="the house rules" />
  if (error) return <ErrorNote error={error} />

  return (
    <div className="flex flex-col gap-8">
      <header>
        <h1 className="text-display leading-tight">House rules</h1>
        <p className="text-quiet">
          Every verdict names the limit it was judged by and the school it followed.
          {!mayChoose && ' A lead chooses between schools.'}
        </p>
      </header>
      <section aria-labelledby="schools">
        <h2 id="schools" className="rule-below pb-1 text-lead">
          Where good people differ
        </h2>
        {rules.schools.map((school) => (
          <SchoolChoice key={school.key} school={school} mayChoose={mayChoose} />
        ))}
      </section>
      {(may('manage_people') || may('manage_yards')) && (
        <div className="grid gap-8 desk:grid-cols-2 desk:gap-12">
          {may('manage_people') && <People />}
          {may('manage_yards') && <Yards />}
        </div>
      )}
      <Limits limits={rules.limits} />
    </div>
  )
}
