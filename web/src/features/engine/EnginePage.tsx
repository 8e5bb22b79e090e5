import { useQuery } from '@tanstack/react-query'
import { Link, useParams, useSearchParams } from 'react-router'
import { engine as engineQuery, type Engine } from '../../shared/api/engines'
import { Shown } from '../../shared/page/Shown'
import { useTitle } from '../../shared/page/useTitle'
import { CapBench } from './cap/CapBench'
import { KillBench } from './kill/KillBench'
import { PlugBench } from './plugs/PlugBench'
import { KeptSums } from './sums/KeptSums'

const PARTS = [
  { key: 'kill', label: 'Kill circuit' },
  { key: 'plugs', label: 'Cylinders' },
  { key: 'cap', label: 'Cap and leads' },
  { key: 'sums', label: 'Kept figures' },
] as const
type Part = (typeof PARTS)[number]['key']

const has = (engine: Engine): Record<Part, boolean> => ({
  kill: engine.kill.length > 0,
  plugs: engine.plugs !== null,
  cap: engine.cap !== null,
  sums: engine.sums.length > 0,
})

/** The spark of a unit: kill circuit, cylinders, cap; and the figures that are kept on it. */
export function EnginePage() {
  const { id = '' } = useParams()
  const [params] = useSearchParams()
  const asked = useQuery(engineQuery(id))
  useTitle(asked.data ? `Engine of ${asked.data.unit.number}` : '')
  return (
    <Shown asked={asked} what="the engine">
      {(engine) => {
        const known = has(engine)
        const offered = PARTS.filter((part) => part.key !== 'kill' || known.kill)
        const at =
          offered.find((part) => part.key === params.get('at')) ?? offered.find((part) => known[part.key]) ?? offered[0]
        return (
          <div className="flex flex-col gap-6">
            <header className="rule-below flex flex-wrap items-end justify-between gap-x-8 gap-y-2 pb-3">
              <h1 className="text-display leading-tight">
                <Link to={`/units/${engine.unit.id}`}>{engine.unit.number}</Link>{' '}
                <span className="font-medium">{engine.unit.name}</span>
              </h1>
              <nav aria-label="Of the engine" className="flex flex-wrap gap-x-6">
                {offered.map((part) => (
                  <Link
                    key={part.key}
                    to={`/units/${engine.unit.id}/engine?at=${part.key}`}
                    aria-current={part.key === at?.key ? 'page' : undefined}
                    className={`flex min-h-12 items-center font-label ${part.key === at?.key ? 'font-bold no-underline' : 'link-words'}`}
                  >
                    {part.label}
                  </Link>
                ))}
              </nav>
            </header>
            {at?.key === 'kill' &&
              engine.kill.map((kill) => <KillBench key={kill.device} engine={engine} kill={kill} />)}
            {at?.key === 'plugs' && <PlugBench engine={engine} />}
            {at?.key === 'cap' && <CapBench engine={engine} />}
            {at?.key === 'sums' && <KeptSums engine={engine} />}
          </div>
        )
      }}
    </Shown>
  )
}
