import { checkSpare, keep, scrap, type BatteryRecord } from '../../shared/api/batteries'
import { numberFrom } from '../../shared/quantities/numberFrom'
import { HERE, spokenDay } from '../../shared/quantities/when'
import { AskedBack } from '../../shared/ui/AskedBack'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { OutOfUse } from '../../shared/ui/OutOfUse'
import { useWrite } from '../../shared/writes/useWrite'
import { TextField } from '../../shared/ui/TextField'

const UNREAD = { volt: '', tester: '', celsius: '', settled: false }

function Check({ battery }: { battery: BatteryRecord }) {
  const check = useWrite<typeof UNREAD, BatteryRecord>({ name: `check:${battery.id}`, empty: UNREAD })
  const question = check.error?.question
  const { value } = check
  const typed = numberFrom(value.volt)
  const tester = numberFrom(value.tester)
  /** As typed, but for what was asked about and meant otherwise. */
  const read = (meant: { volt?: number; tester?: number }, confirmed: boolean) =>
    void check.write((id) => {
      const rest = { id, rest_volt: (meant.volt ?? typed) as number, confirmed }
      if (tester === null) return checkSpare(battery, rest)
      const celsius = value.celsius.trim() === '' ? null : value.celsius
      return checkSpare(battery, {
        ...rest,
        tester_ampere: (meant.tester ?? tester) as number,
        celsius,
        settled: value.settled,
      })
    })
  return (
    <form
      className="flex flex-col gap-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        read({}, false)
      }}
    >
      <TextField
        label="Volts at rest"
        help="Its own posts, hours after charging"
        error={question ? undefined : check.error?.fields.rest_volt?.[0]}
        className="max-w-40 text-lead"
        inputMode="decimal"
        value={check.value.volt}
        onText={(text) => {
          check.change({ ...value, volt: text })
        }}
      />
      <div className="grid grid-cols-2 gap-4">
        <TextField
          label="Tester, A"
          help="Set to its label; empty if not tested"
          error={question ? undefined : check.error?.fields.tester_ampere?.[0]}
          inputMode="decimal"
          value={value.tester}
          onText={(text) => {
            check.change({ ...value, tester: text })
          }}
        />
        <TextField
          label="Its case, °C"
          error={check.error?.fields.celsius?.[0]}
          value={value.celsius}
          onText={(text) => {
            check.change({ ...value, celsius: text })
          }}
        />
      </div>
      {value.tester.trim() !== '' && (
        <label className="flex min-h-12 items-center gap-3">
          <input
            type="checkbox"
            checked={value.settled}
            onChange={(event) => {
              check.change({ ...value, settled: event.target.checked })
            }}
          />
          Rested four hours, or its surface charge taken off
        </label>
      )}
      {question && (
        <AskedBack
          question={question}
          onAnswer={(meant) => {
            const of = question.test_key === 'tester_ampere' ? 'tester' : 'volt'
            read(meant === null ? {} : { [of]: meant }, true)
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

const SHOWN = 5

/** What was done with it on the shelf, the last first. */
function Checks({ battery }: { battery: BatteryRecord }) {
  if (battery.checks.length === 0) return null
  return (
    <ol aria-label="Looked after">
      {battery.checks.slice(0, SHOWN).map((check) => (
        <li key={check.id} className="rule-below flex justify-between gap-4 py-1">
          <span>
            {check.charged ? 'charged to full' : `${String(check.rest_volt)} V at rest`}
            {check.tester_ampere !== null && `, tester ${check.tester_ampere} A`}
            {check.summary && <span className="block">{check.summary}</span>}
            {check.instead && check.verdict === 'unproven' && (
              <span className="block font-semibold">{check.instead}</span>
            )}
          </span>
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
      {!battery.scrapped_at && (
        <>
          <Check battery={battery} />
          <Checks battery={battery} />
        </>
      )}
      <OutOfUse one={battery} scrap={(reason) => scrap(battery, reason)} keep={() => keep(battery)} />
    </section>
  )
}
