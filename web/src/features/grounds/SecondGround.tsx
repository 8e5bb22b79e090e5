import { addSecondGround, removeSecondGround, type Grounds } from '../../shared/api/grounds'
import { numberFrom } from '../../shared/quantities/numberFrom'
import { spokenDay } from '../../shared/quantities/when'
import { useMay } from '../../shared/session/session'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { useWrite } from '../../shared/writes/useWrite'
import { TextField } from '../../shared/ui/TextField'

type Second = NonNullable<Grounds['second']>

function Added({ data, added }: { data: Grounds; added: NonNullable<Second['added']> }) {
  const may = useMay()('take_reading')
  const taking = useWrite<{ reason: string }, Grounds>({ name: `second-off:${data.unit.id}`, empty: { reason: '' } })
  return (
    <>
      <p>
        {added.section_mm2} mm² from the alternator’s case to the grounded post.{' '}
        <span className="text-quiet">
          {added.person}, {spokenDay(added.added_at, data.time_zone)}
          {added.note && `: ${added.note}`}
        </span>
      </p>
      <ErrorNote error={taking.error} />
      {may && (
        <details>
          <summary className="min-h-12 py-3 font-label font-bold dense:min-h-9 dense:py-2">It was taken off</summary>
          <form
            aria-label="Take the second ground off"
            className="flex flex-wrap items-end gap-3"
            noValidate
            onSubmit={(event) => {
              event.preventDefault()
              void taking.write(() => removeSecondGround(data.unit, taking.value.reason))
            }}
          >
            <TextField
              label="Taken off because"
              error={taking.error?.fields.reason?.[0]}
              value={taking.value.reason}
              onText={(text) => {
                taking.change({ reason: text })
              }}
            />
            <Button type="submit" disabled={taking.isPending || taking.value.reason.trim() === ''}>
              It is off
            </Button>
          </form>
        </details>
      )}
    </>
  )
}

function Adding({ data, second }: { data: Grounds; second: Second }) {
  const empty = { section: String(second.section_mm2 ?? ''), note: '' }
  const adding = useWrite<typeof empty, Grounds>({ name: `second:${data.unit.id}`, empty })
  const fields = adding.error?.fields ?? {}
  return (
    <details open={second.chosen}>
      <summary className="min-h-12 py-3 font-label font-bold dense:min-h-9 dense:py-2">One was added</summary>
      <form
        aria-label="Second ground"
        className="grid gap-3 desk:grid-cols-[8rem_1fr_auto] desk:items-end"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          void adding.write((id) =>
            addSecondGround(data.unit, {
              id,
              section_mm2: numberFrom(adding.value.section),
              note: adding.value.note,
            }),
          )
        }}
      >
        <TextField
          label="Size, mm²"
          error={fields.section_mm2?.[0]}
          inputMode="decimal"
          value={adding.value.section}
          onText={(text) => {
            adding.change({ ...adding.value, section: text })
          }}
        />
        <TextField
          label="Where it runs"
          error={fields.note?.[0]}
          value={adding.value.note}
          onText={(text) => {
            adding.change({ ...adding.value, note: text })
          }}
        />
        <Button type="submit" disabled={adding.isPending}>
          Keep it
        </Button>
      </form>
      <ErrorNote error={adding.error} />
    </details>
  )
}

/** A second ground from the alternator's case: what this fleet holds of it, and whether this unit has one. */
export function SecondGround({ data }: { data: Grounds }) {
  const may = useMay()('take_reading')
  const { second } = data
  if (!second) return null
  return (
    <section aria-labelledby="second-ground" className="flex flex-col gap-2">
      <h2 id="second-ground" className="rule-below pb-1 text-lead">
        Second ground of the alternator
      </h2>
      {second.added ? <Added data={data} added={second.added} /> : <p>None on this unit.</p>}
      <p className="text-quiet">{second.school}.</p>
      <p>{second.advice}.</p>
      {may && !second.added && <Adding data={data} second={second} />}
    </section>
  )
}
