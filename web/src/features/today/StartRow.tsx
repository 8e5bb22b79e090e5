import { Link } from 'react-router'
import { OUTCOMES, sayMornings, type Outcome, type StartLine, type Tonight } from '../../shared/api/tonight'
import { glued } from '../../shared/quantities/glued'
import { useMay } from '../../shared/session/session'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Segments } from '../../shared/ui/Segments'
import { VerdictMark } from '../../shared/ui/VerdictMark'
import { useWrite } from '../../shared/writes/useWrite'

const NOTHING = {}

/** The morning's one tap. */
function Tap({ line, dawn }: { line: StartLine; dawn: string }) {
  const say = useWrite<object, Tonight>({ name: `morning:${line.unit_id}:${dawn}`, empty: NOTHING })
  return (
    <div className="col-span-2 desk:col-span-4">
      <Segments
        label={`How ${line.unit} started this morning`}
        options={OUTCOMES}
        chosen={line.outcome ?? undefined}
        onChoose={(outcome: Outcome) => {
          const entry = { unit_id: line.unit_id, outcome }
          void say.write(() => sayMornings(dawn, [entry], `How ${line.unit} started`))
        }}
      />
      <ErrorNote error={say.error} />
    </div>
  )
}

/** A unit that may not start: how likely, why, and in the morning how it went. */
export function StartRow({ line, dawn, morning }: { line: StartLine; dawn: string; morning: boolean }) {
  const may = useMay()('say_morning')
  return (
    <li className="rule-below grid grid-cols-[auto_1fr] items-baseline gap-x-4 gap-y-1 py-3 desk:grid-cols-[7rem_15rem_10rem_1fr]">
      <VerdictMark verdict={line.verdict} />
      <Link to={line.path} className="font-label text-lead font-bold">
        {line.unit}
      </Link>
      <span className="col-span-2 desk:col-span-1">
        <span className="font-figures text-lead">{line.chance_words}</span> <span className="text-quiet">no start</span>
      </span>
      <span className="col-span-2 desk:col-span-1">
        {glued(line.words)} <span className="block text-quiet">{line.yard}</span>
      </span>
      {morning && may && <Tap line={line} dawn={dawn} />}
    </li>
  )
}
