import type { SheetTable } from '../../../shared/api/circuits'
import { answerStop, type Stop, type Stops } from '../../../shared/api/stops'
import { HERE, spokenTime } from '../../../shared/quantities/when'
import { useMay } from '../../../shared/session/session'
import { Button } from '../../../shared/ui/Button'
import { ErrorNote } from '../../../shared/ui/ErrorNote'
import { Field } from '../../../shared/ui/Field'
import { useWrite } from '../../../shared/writes/useWrite'

const UNSAID = { words: '' }

/** What a lead says of the faults with which it will not stop; asked anew as soon as the circuit is another one. */
export function LeadAnswer({ sheet, stop }: { sheet: SheetTable; stop: Stop }) {
  const may = useMay()('lift_hold')
  const { value, change, write, error, isPending } = useWrite<typeof UNSAID, Stops>({
    name: `stop-answer:${sheet.id}:${stop.device}`,
    empty: UNSAID,
  })
  if (stop.answer)
    return (
      <p className="border-l-4 border-sound pl-4">
        <strong className="font-semibold">{stop.answer.words}</strong>{' '}
        <span className="text-quiet">
          {stop.answer.person}, {spokenTime(stop.answer.at, HERE)}, of these faults, on every unit with this sheet
        </span>
      </p>
    )
  return (
    <form
      className="flex flex-col gap-3 border-l-4 border-hair pl-4"
      onSubmit={(event) => {
        event.preventDefault()
        void write((id) => answerStop(sheet.id, { id, device: stop.device, ...value }, stop.label))
      }}
    >
      {!may && <p>No lead has said yet what guards against these.</p>}
      {may && (
        <>
          <Field
            label="What guards against these faults, on every unit with this sheet"
            error={error?.fields.words?.join(', ')}
          >
            {(wiring) => (
              <textarea
                {...wiring}
                rows={2}
                value={value.words}
                onChange={(event) => {
                  change({ ...value, words: event.target.value })
                }}
              />
            )}
          </Field>
          <Button type="submit" look="main" disabled={isPending || value.words === ''} className="self-start">
            Answer it
          </Button>
        </>
      )}
      <ErrorNote error={error} />
    </form>
  )
}
