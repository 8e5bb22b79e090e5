import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { signal as signalQuery } from '../../../shared/api/circuits'
import { Shown } from '../../../shared/page/Shown'
import { Button } from '../../../shared/ui/Button'

const TITLE = { tap: 'Tap it, do not cut it', cut: 'It may be cut', nobody: 'Nobody listens here' }

function Plan({ sheetId, pin }: { sheetId: string; pin: string }) {
  const asked = useQuery(signalQuery(sheetId, pin))
  return (
    <Shown asked={asked} what="who listens">
      {(data) => (
        <section aria-label="Tap or cut" className="flex flex-col gap-1">
          <h3 className={`text-lead ${data.advice === 'tap' ? 'text-act' : ''}`}>{TITLE[data.advice]}</h3>
          {data.words.map((words) => (
            <p key={words}>{words}.</p>
          ))}
          <ul>
            {data.listeners.map((one) => (
              <li key={one.pin} className="rule-below py-1">
                {one.part}
                {one.guards && <strong className="font-semibold text-act">, keeps {one.guards} safe</strong>}
                <span className="text-quiet">
                  {one.own_wires.length > 0 ? `, alone on wire ${one.own_wires.join(', ')}` : ', no wire of its own'}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </Shown>
  )
}

/** Somebody wants this signal for a gauge or a controller: who listens to it already, and where it may be taken. */
export function SignalPlan({ sheetId, pin }: { sheetId: string; pin: string }) {
  const [open, setOpen] = useState(false)
  if (open) return <Plan sheetId={sheetId} pin={pin} />
  return (
    <Button
      look="quiet"
      className="self-start"
      onClick={() => {
        setOpen(true)
      }}
    >
      Take this signal: tap or cut?
    </Button>
  )
}
