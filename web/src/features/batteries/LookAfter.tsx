import { checkSpare, keep, scrap, type BatteryRecord } from '../../shared/api/batteries'
import { numberFrom } from '../../shared/quantities/numberFrom'
import { HERE, spokenDay } from '../../shared/quantities/when'
import { AskedBack } from '../../shared/ui/AskedBack'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { useWrite } from '../../shared/writes/useWrite'

const UNREAD = { volt: '' }
const UNSAID = { reason: '' }
const NOTHING = {}

function Check({ battery }: { battery: BatteryRecord }) {
  const check = useWrite<typeof UNREAD, BatteryRecord>({ name: `check:${battery.id}`, empty: UNREAD })
  const question = check.error?.question
  const read = (volt: number | string | null, confirmed: boolean) =>
    void check.write((id) => checkSpare(battery, { id, rest_volt: volt as number, confirmed }))
  const typed = numberFrom(check.value.volt)
  return (
    <form
      className="flex flex-col gap-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        read(typed, false)
      }}
    >
      <Field
        label="Volts at rest"
        help="Its own posts, hours after charging"
        error={question ? undefined : check.error?.fields.rest_volt?.[0]}
      >
        {(wiring) => (
          <input
            {...wiring}
            className="max-w-40 text-lead"
            inputMode="decimal"
            value={check.value.volt}
            onChange={(event) => {
              check.change({ volt: event.target.value })
            }}
          />
        )}
      </Field>
      {question && (
        <AskedBack
          question={question}
          onAnswer={(meant) => {
            read(meant ?? typed, true)
          }}
        />
      )}
      <div className="flex flex-wrap gap-3">
        <Button type="submit" look="main" disabled={check.isPending || typed === null}>
          Keep the reading
        </Button>
        <Button
          disabled={check.isPending}
          onClick={() => {
            void check.write((id) => checkSpare(battery, { id, charged: true }))
          }}
        >
          Charged to full now
        </Button>
      </div>
      <p className="text-quiet">
        Hydrogen: no sparks, ventilate. One that may be frozen is neither charged nor jumped: warm it first.
      </p>
      {!question && <ErrorNote error={check.error} />}
    </form>
  )
}

function Scrap({ battery }: { battery: BatteryRecord }) {
  const going = useWrite<typeof UNSAID, BatteryRecord>({ name: `scrap:${battery.id}`, empty: UNSAID })
  return (
    <form
      className="flex flex-col gap-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void going.write(() => scrap(battery, going.value.reason))
      }}
    >
      <Field label="Scrap it, because" error={going.error?.fields.reason?.[0]}>
        {(wiring) => (
          <input
            {...wiring}
            value={going.value.reason}
            onChange={(event) => {
              going.change({ reason: event.target.value })
            }}
          />
        )}
      </Field>
      <Button type="submit" className="self-start" disabled={going.isPending || going.value.reason.trim() === ''}>
        Scrap {battery.tag}
      </Button>
      <ErrorNote error={going.error} />
    </form>
  )
}

function Scrapped({ battery }: { battery: BatteryRecord }) {
  const staying = useWrite<object, BatteryRecord>({ name: `keep:${battery.id}`, empty: NOTHING })
  return (
    <div className="flex flex-col items-start gap-3">
      <p>Scrapped: {battery.scrapped_because}</p>
      <Button disabled={staying.isPending} onClick={() => void staying.write(() => keep(battery))}>
        Back onto the shelf
      </Button>
      <ErrorNote error={staying.error} />
    </div>
  )
}

const SHOWN = 5

/** What was done with it on the shelf, the last first. */
function Checks({ battery }: { battery: BatteryRecord }) {
  if (battery.checks.length === 0) return null
  return (
    <ol aria-label="Looked after">
      {battery.checks.slice(0, SHOWN).map((check) => (
        <li key={check.id} className="rule-below flex justify-between gap-4 py-1">
          <span>{check.charged ? 'charged to full' : `${String(check.rest_volt)} V at rest`}</span>
          <span className="text-quiet">{spokenDay(check.at, HERE)}</span>
        </li>
      ))}
    </ol>
  )
}

/** What is done with a spare: its volts read, charged, scrapped. */
export function LookAfter({ battery }: { battery: BatteryRecord }) {
  return (
    <section aria-labelledby="look-after" className="flex flex-col gap-6">
      <h2 id="look-after" className="rule-below pb-1 text-lead">
        On the shelf
      </h2>
      {battery.scrapped_at ? (
        <Scrapped battery={battery} />
      ) : (
        <>
          <Check battery={battery} />
          <Checks battery={battery} />
          <Scrap battery={battery} />
        </>
      )}
    </section>
  )
}
