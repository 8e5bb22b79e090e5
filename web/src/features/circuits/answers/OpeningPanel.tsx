import { useQuery } from '@tanstack/react-query'
import { VerdictMark } from '../../../shared/ui/VerdictMark'
import { opening, type SheetTable } from '../../../shared/api/circuits'
import { spokenVolt } from '../spoken'
import { Shown } from '../../../shared/page/Shown'

const WORDS = { dead: 'falls dead', alive: 'comes alive', moved: 'moves' } as const

/** What opening one thing changes, key state by key state. */
export function OpeningPanel({ sheet, item }: { sheet: SheetTable; item: string }) {
  const asked = useQuery(opening(sheet.id, item))
  return (
    <Shown asked={asked} what="what hangs on it">
      {(data) => {
        const touched = sheet.states.filter((state) => data.effects.some((effect) => effect.state === state.key))
        return (
          <div className="flex flex-col gap-5">
            <header>
              <h2 className="text-reading leading-tight">
                {item} open <span className="font-medium text-quiet">{data.label !== item && data.label}</span>
              </h2>
              <p className="text-quiet">
                {touched.length === 0
                  ? 'Nothing that works or is read changes in any key state.'
                  : `${new Set(data.effects.map((effect) => effect.key)).size} things change.`}
              </p>
            </header>
            {touched.map((state) => (
              <section key={state.key} aria-label={state.label}>
                <h3 className="rule-below pb-1 text-lead">{state.label}</h3>
                <ul>
                  {data.effects
                    .filter((effect) => effect.state === state.key)
                    .map((effect) => (
                      <li
                        key={effect.key}
                        className="rule-below grid grid-cols-[1.5rem_1fr_auto] items-center gap-x-3 py-1.5"
                      >
                        <VerdictMark verdict={effect.change === 'moved' ? 'watch' : 'act'} word={false} />
                        <span>
                          {effect.label} <span className="text-quiet">{WORDS[effect.change]}</span>
                        </span>
                        <span className="text-quiet">
                          {spokenVolt(effect.before_volt)} to{' '}
                          <span className="font-semibold text-ink">{spokenVolt(effect.after_volt)}</span>
                        </span>
                      </li>
                    ))}
                </ul>
              </section>
            ))}
          </div>
        )
      }}
    </Shown>
  )
}
