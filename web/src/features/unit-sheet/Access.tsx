import { useQuery } from '@tanstack/react-query'
import { noteAccess, strikeAccess, unitAccess, type AccessNote, type UnitAccess } from '../../shared/api/access'
import type { UnitSheet } from '../../shared/api/types'
import { useMay } from '../../shared/session/session'
import { Button } from '../../shared/ui/Button'
import { Combobox } from '../../shared/ui/Combobox'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { useWrite } from '../../shared/writes/useWrite'

const UNSAID = { place: '', text: '' }
const NOTHING = {}

function One({ sheet, note }: { sheet: UnitSheet; note: AccessNote }) {
  const may = useMay()('take_reading')
  const striking = useWrite<object, UnitAccess>({ name: `access-end:${note.id}`, empty: NOTHING })
  return (
    <li className="rule-below flex items-baseline gap-3 py-2">
      <p className="flex-1">
        <span className="font-semibold">{note.place}</span> {note.text}{' '}
        <span className="text-quiet">{note.person}</span>
      </p>
      {may && (
        <Button
          look="quiet"
          disabled={striking.isPending}
          onClick={() => {
            void striking.write(() => strikeAccess(sheet, note))
          }}
        >
          Strike out
        </Button>
      )}
      <ErrorNote error={striking.error} />
    </li>
  )
}

function Adding({ sheet, access }: { sheet: UnitSheet; access: UnitAccess }) {
  const adding = useWrite<typeof UNSAID, UnitAccess>({ name: `access:${sheet.id}`, empty: UNSAID })
  const fields = adding.error?.fields ?? {}
  return (
    <details>
      <summary className="min-h-12 py-3 font-label font-bold dense:min-h-9 dense:py-2">
        Say how to get at something
      </summary>
      <form
        aria-label="How to get there"
        className="flex flex-col gap-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          void adding.write((id) => noteAccess(sheet, { id, ...adding.value }))
        }}
      >
        <Combobox
          label="Place"
          error={fields.place?.[0]}
          help="A part, or where it sits, by its name on the circuit"
          choices={access.places.map((place) => ({ label: place }))}
          text={adding.value.place}
          onText={(place) => {
            adding.change({ ...adding.value, place })
          }}
        />
        <Field label="Way in, tools, covers" error={fields.text?.[0]}>
          {(wiring) => (
            <textarea
              {...wiring}
              rows={2}
              value={adding.value.text}
              onChange={(event) => {
                adding.change({ ...adding.value, text: event.target.value })
              }}
            />
          )}
        </Field>
        <Button type="submit" className="self-start" disabled={adding.isPending}>
          Keep it for all {access.unit_class}
        </Button>
        <ErrorNote error={adding.error} />
      </form>
    </details>
  )
}

/** How to get at places, written once for all units of a class. */
export function Access({ sheet }: { sheet: UnitSheet }) {
  const { data: access } = useQuery(unitAccess(sheet.id))
  const may = useMay()('take_reading')
  if (!access?.unit_class || (access.notes.length === 0 && (!may || sheet.retired))) return null
  return (
    <section aria-labelledby="access">
      <h2 id="access" className="rule-below pb-1 text-lead">
        Getting there, {access.unit_class}
      </h2>
      <ul>
        {access.notes.map((note) => (
          <One key={note.id} sheet={sheet} note={note} />
        ))}
      </ul>
      {may && !sheet.retired && <Adding sheet={sheet} access={access} />}
    </section>
  )
}
