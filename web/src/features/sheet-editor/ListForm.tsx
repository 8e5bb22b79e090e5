import { useMutation } from '@tanstack/react-query'
import { useEffect } from 'react'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { textOf } from '../../shared/drafts/textOf'
import { ThrowAway } from '../../shared/writes/ThrowAway'
import { useWrite } from '../../shared/writes/useWrite'
import { listColumns, takeList, type Draft, type ListColumns, type ListMapping } from '../../shared/api/drafts'
import { ColumnFields } from './ColumnFields'

interface Typed {
  csv: string
  columns: ListMapping | null
  length_unit: ListColumns['length_unit'] | null
  components: boolean
}
const EMPTY: Typed = { csv: '', columns: null, length_unit: null, components: true }

/** A table by file or pasted; what its columns are is guessed, shown with examples, and said by who brings it in. */
export function ListForm({
  draft,
  onSaved,
  onWaiting,
}: {
  draft: Draft
  onSaved: (draft: Draft) => void
  onWaiting: () => void
}) {
  const taking = useWrite<Typed, Draft>({ name: `wire-list:${draft.id}`, empty: EMPTY, onSaved, onWaiting })
  const { value, change } = taking
  const { csv, components } = value
  const { mutate, data, error, isPending } = useMutation({ mutationFn: (text: string) => listColumns(draft.id, text) })
  // A line of headings alone is not asked about: somebody is typing it.
  const hasRow = /\n\s*\S/.test(csv)
  useEffect(() => {
    if (hasRow) mutate(csv)
  }, [csv, hasRow, mutate])
  const read = hasRow ? data : undefined
  const columns = value.columns ?? read?.guess ?? {}
  const unit = value.length_unit ?? read?.length_unit ?? 'm'
  const bring = (text: string) => {
    change({ ...EMPTY, components, csv: text })
  }
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(event) => {
        event.preventDefault()
        void taking.write(() => takeList(draft.id, { csv, columns, length_unit: unit, components }))
      }}
    >
      <Field label="File" help="CSV with one line of headings; comma, semicolon or tab">
        {(wiring) => (
          <input
            {...wiring}
            type="file"
            accept=".csv,.txt,text/csv,text/plain"
            onChange={(event) => {
              const file = event.target.files?.[0]
              if (file) void textOf(file).then(bring)
            }}
          />
        )}
      </Field>
      <Field label="Or paste it" error={hasRow ? error?.message : undefined}>
        {(wiring) => (
          <textarea
            {...wiring}
            rows={4}
            spellCheck={false}
            className="font-mono text-base whitespace-pre"
            value={csv}
            onChange={(event) => {
              bring(event.target.value)
            }}
          />
        )}
      </Field>
      {read && (
        <>
          <ColumnFields
            read={read}
            columns={columns}
            unit={unit}
            onColumns={(next) => {
              change({ ...value, columns: next })
            }}
            onUnit={(next) => {
              change({ ...value, length_unit: next })
            }}
          />
          <label className="flex min-h-12 items-center gap-3">
            <input
              type="checkbox"
              checked={components}
              onChange={(event) => {
                change({ ...value, components: event.target.checked })
              }}
            />
            A row for each component that is named and not drawn yet
          </label>
        </>
      )}
      <ErrorNote error={taking.error} />
      <Button type="submit" look="main" disabled={!read || isPending || taking.isPending}>
        {read ? `Take ${read.rows} ${read.rows === 1 ? 'wire' : 'wires'}` : 'Take the wires'}
      </Button>
      <p className="text-quiet">
        Wires that stand here under the same number say what the list says from then on; what it does not tell of them
        stays. Undo takes all of it back.
      </p>
      <ThrowAway isDrafted={taking.isDrafted} onThrowAway={taking.clear} />
    </form>
  )
}
