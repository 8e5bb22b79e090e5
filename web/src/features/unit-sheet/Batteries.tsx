import { useState } from 'react'
import { Link } from 'react-router'
import type { UnitSheet } from '../../shared/api/types'
import { spokenDay } from '../../shared/quantities/when'
import { useMay } from '../../shared/session/session'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Sheet } from '../../shared/ui/Sheet'
import { VerdictMark } from '../../shared/ui/VerdictMark'
import { useWrite } from '../../shared/writes/useWrite'
import { takeOff } from '../../shared/api/units'
import { FitBattery } from './FitBattery'
import { HealthLine } from './HealthLine'

type Slot = UnitSheet['batteries'][number]

function Fitted({ slot, onTakeOff }: { slot: Slot; onTakeOff: (() => void) | undefined }) {
  const { battery, outlook } = slot
  if (!battery) return null
  return (
    <>
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h3 className="text-lead">
          {slot.position}{' '}
          <Link to={`/batteries/${battery.id}`} className="text-quiet">
            {battery.tag}
          </Link>
        </h3>
        {onTakeOff && (
          <Button look="quiet" onClick={onTakeOff}>
            Take off
          </Button>
        )}
      </div>
      <p className="text-quiet">
        {battery.rating_ampere} A {battery.rating_standard}, {battery.type_label}
        {battery.made && `, made ${battery.made}`}
      </p>
      <ul className="flex flex-wrap gap-x-8 gap-y-2 pt-2">
        {slot.last.map((reading) => (
          <li key={reading.id} className="flex items-center gap-2">
            {reading.verdict && <VerdictMark verdict={reading.verdict} word={false} />}
            <span className="text-reading font-semibold">{reading.spoken}</span>
            <span className="font-label text-quiet">{reading.short}</span>
          </li>
        ))}
      </ul>
      {outlook && <HealthLine outlook={outlook} />}
    </>
  )
}

const NOTHING = {}

/** Batteries as individuals, in their positions. */
export function Batteries({ sheet }: { sheet: UnitSheet }) {
  const [fitting, setFitting] = useState<string | null>(null)
  const takingOff = useWrite<object, UnitSheet>({ name: `take-off:${sheet.id}`, empty: NOTHING })
  const may = useMay()('edit_batteries') && !sheet.retired
  return (
    <section aria-labelledby="batteries">
      <h2 id="batteries" className="rule-below pb-1 text-lead">
        Batteries <span className="text-quiet">{sheet.system}</span>
      </h2>
      <ErrorNote error={takingOff.error} />
      <ul className="gap-x-10 desk:grid desk:grid-cols-2">
        {sheet.batteries.map((slot) => (
          <li key={slot.position} className="rule-below py-3">
            <Fitted
              slot={slot}
              onTakeOff={
                may
                  ? () => {
                      void takingOff.write(() => takeOff(sheet, slot.position))
                    }
                  : undefined
              }
            />
            {!slot.battery && (
              <div className="flex items-center justify-between">
                <h3 className="text-lead">
                  {slot.position} <span className="text-quiet">empty</span>
                </h3>
                {may && (
                  <Button
                    look="main"
                    onClick={() => {
                      setFitting(slot.position)
                    }}
                  >
                    Fit a battery at {slot.position}
                  </Button>
                )}
              </div>
            )}
          </li>
        ))}
      </ul>
      {sheet.past_batteries.length > 0 && (
        <p className="pt-2 text-quiet">
          Before:{' '}
          {sheet.past_batteries
            .map((past) => `${past.position} ${past.tag} to ${spokenDay(past.to, sheet.time_zone)}`)
            .join(', ')}
        </p>
      )}
      <Sheet
        title={`Fit a battery at ${fitting ?? ''}`}
        open={fitting !== null}
        onClose={() => {
          setFitting(null)
        }}
      >
        {fitting && (
          <FitBattery
            unit={sheet}
            position={fitting}
            onDone={() => {
              setFitting(null)
            }}
          />
        )}
      </Sheet>
    </section>
  )
}
