import { useQuery } from '@tanstack/react-query'
import { useMay } from '../../shared/session/session'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Limits } from './Limits'
import { People } from './People'
import { Yards } from './Yards'
import { useWrite } from '../../shared/writes/useWrite'
import { chooseSchool, houseRules, type Rules, type School } from '../../shared/api/houseRules'
import { Shown } from '../../shared/page/Shown'
import { useTitle } from '../../shared/page/useTitle'

const NOTHING = {}

function SchoolChoice({ school, mayChoose }: { school: School; mayChoose: boolean }) {
  const choose = useWrite<object, Rules>({ name: `school:${school.key}`, empty: NOTHING })
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
                void choose.write(() => chooseSchool(school.key, answer.key))
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

/** What everything is judged by, and what the fleet chose where good people differ. */
export function HouseRulesPage() {
  const asked = useQuery(houseRules())
  useTitle('House rules')
  const may = useMay()
  const mayChoose = may('set_house_rules')
  return (
    <Shown asked={asked} what="the house rules">
      {(rules) => {
        return (
          <div className="flex flex-col gap-8">
            <header>
              <h1 className="text-display leading-tight">House rules</h1>
              <p className="text-quiet">
                Every verdict names the limit it was judged by and the school it followed.
                {!mayChoose && ' A lead chooses between schools and sets limits.'}
              </p>
              {rules.judging.map((one) => (
                <p key={one.why} role="status" className="font-semibold">
                  {one.why}: readings of {one.done} of {one.total} jobs are judged again. Until then a verdict says
                  which figure it was judged by.
                </p>
              ))}
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
            <Limits limits={rules.limits} subjects={rules.subjects} mayChange={mayChoose} />
          </div>
        )
      }}
    </Shown>
  )
}
