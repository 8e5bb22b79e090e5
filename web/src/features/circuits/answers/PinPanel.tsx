import { useQuery } from '@tanstack/react-query'
import { pin as pinQuery, type PinAnswer } from '../../../shared/api/circuits'
import { NetList } from './NetList'
import { PathLine } from './PathLine'
import { SignalPlan } from './SignalPlan'
import { spokenPin } from '../../../shared/drawing/names'
import { spokenVolt } from '../spoken'
import { Shown } from '../../../shared/page/Shown'

function Expected({ answer }: { answer: PinAnswer }) {
  const unplugs = answer.expected.some((one) => one.unloaded_volt !== null)
  return (
    <table className="w-full text-left">
      <thead>
        <tr className="rule-below text-quiet">
          <th className="py-1 font-medium">Key state</th>
          <th className="py-1 text-right font-medium">Plugged</th>
          {unplugs && <th className="py-1 text-right font-medium">Plug off</th>}
        </tr>
      </thead>
      <tbody>
        {answer.expected.map((one) => {
          const here = one.key_state === answer.state
          return (
            <tr key={one.key_state} className="rule-below" aria-current={here ? 'true' : undefined}>
              <td className={`py-1.5 ${here ? 'font-bold' : ''}`}>
                {one.label}
                {one.chattering.length > 0 && (
                  <span className="block text-act">chatters: {one.chattering.join(', ')}</span>
                )}
                {one.outcomes.length > 0 && (
                  <span className="block text-watch">
                    or {one.outcomes.map(spokenVolt).join(' or ')}: a relay is near its threshold
                  </span>
                )}
              </td>
              <td className={`py-1.5 text-right ${here ? 'text-reading font-semibold' : 'text-lead'}`}>
                {spokenVolt(one.floating ? null : one.loaded_volt)}
              </td>
              {unplugs && (
                <td className="py-1.5 text-right text-lead">
                  {spokenVolt(one.unloaded_floating ? null : one.unloaded_volt)}
                </td>
              )}
            </tr>
          )
        })}
      </tbody>
    </table>
  )
}

/** One pin: what should be there in every key state, where it comes from, where it goes to ground, what else hangs on it. */
export function PinPanel({
  sheetId,
  name,
  state,
  sheetOf,
  onPin,
  onWire,
}: {
  sheetId: string
  name: string
  state: string
  sheetOf: (key: string) => string | undefined
  onPin: (pin: string) => void
  onWire: (number: string) => void
}) {
  const asked = useQuery(pinQuery(sheetId, name, state))
  return (
    <Shown asked={asked} what={name}>
      {(data) => {
        return (
          <div className="flex flex-col gap-5">
            <header>
              <h2 className="text-reading leading-tight">
                {spokenPin(name)} <span className="font-medium text-quiet">{data.label}</span>
              </h2>
              <p className="text-quiet">
                {data.role && <strong className="font-semibold text-ink">{data.role}. </strong>}
                Volts to battery negative, meter of {data.meter_ohm / 1e6} MΩ.
              </p>
            </header>
            <Expected answer={data} />
            <section aria-label="Comes from">
              <h3 className="text-lead">
                Comes from {!data.to_supply.complete && <span className="font-medium text-act">interrupted</span>}
              </h3>
              <PathLine path={data.to_supply} from={name} side="feed" onPick={onPin} />
            </section>
            <section aria-label="Goes to ground">
              <h3 className="text-lead">
                Goes to ground {!data.to_ground.complete && <span className="font-medium text-act">interrupted</span>}
              </h3>
              <PathLine path={data.to_ground} from={name} side="back" onPick={onPin} />
            </section>
            {data.net.runs.length > 0 && (
              <section aria-label="On the same wire">
                <h3 className="pb-1 text-lead">On the same wire</h3>
                <NetList net={data.net} sheetOf={sheetOf} onWire={onWire} onPin={onPin} />
              </section>
            )}
            {data.net.runs.length > 0 && <SignalPlan key={name} sheetId={sheetId} pin={name} />}
          </div>
        )
      }}
    </Shown>
  )
}
