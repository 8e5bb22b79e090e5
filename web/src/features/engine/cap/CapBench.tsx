import { Link } from 'react-router'
import type { Cap, Engine } from '../../../shared/api/engines'
import { HERE, spokenTime } from '../../../shared/quantities/when'
import { useMay } from '../../../shared/session/session'
import { VerdictMark } from '../../../shared/ui/VerdictMark'
import { CapDrawing } from './CapDrawing'
import { CapForm } from './CapForm'

type CapMap = Cap['maps'][number]

/** Whether the leads are right in this direction, and which two change. */
function Verdict({ map }: { map: CapMap }) {
  if (!map.verdict) return null
  return (
    <div className="grid grid-cols-[1.5rem_1fr] gap-x-3">
      <VerdictMark verdict={map.verdict.right ? 'sound' : 'act'} word={false} />
      <p>
        {map.verdict.right
          ? `Right as it is, where the rotor turns ${map.rotation}.`
          : `Wrong ${map.rotation}: ${map.verdict.reason ?? ''}.`}
        {map.verdict.change && (
          <strong className="block font-semibold">Change the leads of {map.verdict.change.join(' and ')}.</strong>
        )}
      </p>
    </div>
  )
}

function Drawn({ map }: { map: CapMap }) {
  const clockwise = map.rotation === 'clockwise'
  return (
    <div className="flex flex-col gap-3">
      <div className="grid gap-6 desk:grid-cols-2">
        <CapDrawing
          title="As you look at it, leads in"
          towers={map.towers}
          clockwise={clockwise}
          change={map.verdict?.change ?? null}
        />
        {map.seen && (
          <CapDrawing
            title="The other drawing, tower for tower"
            towers={map.seen}
            clockwise={map.seen_rotation === 'clockwise'}
          />
        )}
      </div>
      <Verdict map={map} />
    </div>
  )
}

/** Where each tower stands, whether the leads are right, and what to do with loose ones. */
function Found({ engine, cap }: { engine: Engine; cap: Cap }) {
  return (
    <section aria-label="The cap" className="flex flex-col gap-5">
      <p>
        <strong className="font-semibold">{cap.order}</strong>
        {cap.numbering && `, ${cap.numbering}`}.{' '}
        {cap.both_ways
          ? 'Right in both directions of the rotor.'
          : `The other way round the rotor meets ${cap.reversed}: the direction decides.`}
        {cap.pairs.length > 0 && ` Share a coil: ${cap.pairs.map((pair) => pair.join(' and ')).join(', ')}.`}
      </p>
      {cap.maps.length > 1 && (
        <p className="border-l-4 border-act pl-4 font-semibold">
          The rotor’s direction is not known. Cap off, crank it by hand, look: then draw it again.
        </p>
      )}
      {cap.maps.map((map) => (
        <Drawn key={map.rotation} map={map} />
      ))}
      {cap.changes.length > 0 && (
        <section aria-label="Weak cylinders">
          <h3 className="rule-below pb-1 text-lead">What explains the weak ones</h3>
          <ul>
            {cap.changes.map((words) => (
              <li key={words} className="rule-below py-2">
                {words}
              </li>
            ))}
          </ul>
        </section>
      )}
      {cap.lengths.length > 0 && (
        <section aria-label="Leads by length">
          <h3 className="rule-below pb-1 text-lead">Leads by their length</h3>
          <ul>
            {cap.lengths.map((one) => (
              <li key={one.cylinder} className="rule-below py-2">
                Cylinder {one.cylinder}: the lead of {one.lead_cm} cm, {one.need_cm} cm to go
              </li>
            ))}
          </ul>
        </section>
      )}
      <p className="text-quiet">
        {cap.person}, {spokenTime(cap.at, HERE)}
      </p>
      {cap.maps.length === 1 && (
        <Link
          to={`/units/${engine.unit.id}/engine/cap-labels`}
          className="min-h-12 content-center self-start font-label font-bold"
        >
          Labels for the leads, to print
        </Link>
      )}
    </section>
  )
}

/** A distributor cap, drawn from what is known of the engine. */
export function CapBench({ engine }: { engine: Engine }) {
  const may = useMay()('take_reading')
  return (
    <div className="grid gap-8 desk:grid-cols-[minmax(0,1.45fr)_minmax(0,1fr)] desk:gap-12">
      {engine.cap ? (
        <Found engine={engine} cap={engine.cap} />
      ) : (
        <p>
          Nobody drew its cap yet. Firing order, direction of the rotor and where cylinder 1 stands are enough; what is
          on it now and which cylinders are weak tell which leads changed places.
        </p>
      )}
      {may && <CapForm key={engine.cap?.id ?? 'none'} engine={engine} />}
    </div>
  )
}
