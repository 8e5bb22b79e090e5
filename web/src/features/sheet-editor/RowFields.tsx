import { useRef, type FocusEvent } from 'react'
import { Button } from '../../shared/ui/Button'
import { ChoiceBox } from '../../shared/ui/ChoiceBox'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { BothVersions } from '../../shared/writes/BothVersions'
import { useWrite } from '../../shared/writes/useWrite'
import { typeRow, type Draft, type DraftRow } from '../../shared/api/drafts'
import { COLUMNS, GRID, nameOf } from './columns'
import { useSuggested } from './suggested'

type Typed = Record<string, string>

interface Props {
  draft: Draft
  row: Pick<DraftRow, 'item_uuid' | 'kind' | 'typed' | 'row_version' | 'wrong'>
  chosen: boolean
  onChoose: ((chosen: boolean) => void) | null
  onSaved: (draft: Draft) => void
  /** No network: the row waits on the device. */
  onWaiting?: () => void
}

/** One row of the sheet, written when it is left; what is wrong in it stands below it. */
export function RowFields({ draft, row, chosen, onChoose, onSaved, onWaiting }: Props) {
  const columns = COLUMNS[row.kind]
  const empty = Object.fromEntries(columns.map(({ key }) => [key, row.typed[key] ?? '']))
  const writing = useWrite<Typed, Draft>({
    name: `draft-row:${draft.id}:${row.item_uuid}`,
    empty,
    version: row.row_version,
    onSaved,
    ...(onWaiting ? { onWaiting } : {}),
  })
  const { value, change, write, error, isDrafted, rebase } = writing
  const typed = useRef(value)
  const save = (texts: Typed, base?: number) =>
    write(
      (_, begun) =>
        typeRow(draft.id, {
          item_uuid: row.item_uuid,
          kind: row.kind,
          row_version: base ?? begun ?? row.row_version,
          typed: texts,
        }),
      texts,
    )
  const takeOut = () =>
    write(() =>
      typeRow(draft.id, { item_uuid: row.item_uuid, kind: row.kind, row_version: row.row_version, typed: null }),
    )
  // Somebody else changed the row since it was begun here; what was typed is kept, over a reload too.
  const theirs = isDrafted && writing.base !== null && writing.base < row.row_version ? row : null
  const leave = (event: FocusEvent) => {
    if (event.currentTarget.closest('[data-row]')?.contains(event.relatedTarget) || !isDrafted || theirs) return
    void save(typed.current)
  }
  const type = (key: string, text: string) => {
    typed.current = { ...value, [key]: text }
    change(typed.current)
  }
  const suggested = useSuggested()
  const cell = (key: string) => ({
    id: `${row.item_uuid}-${key}`,
    value: value[key] ?? '',
    disabled: draft.ended,
    autoCapitalize: 'off',
    autoComplete: 'off',
    onBlur: leave,
    onChange: (event: { target: { value: string } }) => {
      type(key, event.target.value)
    },
  })
  const name = nameOf({ kind: row.kind, typed: value }) || `new ${row.kind}`
  return (
    <li className="rule-below py-1" data-row={name}>
      <div className={`grid grid-cols-2 gap-1 ${GRID[row.kind]}`}>
        {columns.map(({ key, label }) => (
          <div key={key} className={`flex flex-col ${key === 'facts' ? 'col-span-2 desk:col-span-1' : ''}`}>
            <label htmlFor={`${row.item_uuid}-${key}`} className="text-quiet desk:sr-only">
              {label}
              <span className="sr-only"> of {name}</span>
            </label>
            {suggested[key] ? (
              <ChoiceBox
                {...{ label }}
                wiring={{ id: `${row.item_uuid}-${key}` }}
                choices={suggested[key]}
                text={value[key] ?? ''}
                onText={(text) => {
                  type(key, text)
                }}
                onBlur={leave}
                disabled={draft.ended}
                className="px-2 dense:min-h-9"
                free
                opener={false}
              />
            ) : key === 'facts' ? (
              <textarea
                rows={1}
                spellCheck={false}
                {...cell(key)}
                className="field-sizing-content min-h-12 px-2 dense:min-h-9 dense:py-1"
              />
            ) : (
              <input {...cell(key)} className="px-2 dense:min-h-9" />
            )}
          </div>
        ))}
        <div className="flex items-center gap-3">
          {onChoose && (
            <input
              type="checkbox"
              aria-label={`Choose ${name}`}
              checked={chosen}
              onChange={(event) => {
                onChoose(event.target.checked)
              }}
            />
          )}
          {row.row_version > 0 && !draft.ended && (
            <Button look="quiet" aria-label={`Take out ${name}`} onClick={() => void takeOut()}>
              ×
            </Button>
          )}
        </div>
      </div>
      {row.wrong.map((one) => (
        <p key={one.message} className="border-l-4 border-act pl-3 text-act">
          {one.message}. <span className="text-ink">{one.way_out}</span>
        </p>
      ))}
      {theirs ? (
        <BothVersions
          differences={columns
            .filter(({ key }) => (theirs.typed[key] ?? '') !== (value[key] ?? ''))
            .map(({ key, label }) => ({ field: key, label, mine: value[key] ?? '', theirs: theirs.typed[key] ?? '' }))}
          onChosen={(sides) => {
            const both = Object.fromEntries(
              columns.map(({ key }) => [key, (sides[key] === 'theirs' ? theirs.typed[key] : value[key]) ?? '']),
            )
            typed.current = both
            rebase(both, theirs.row_version)
            void save(both, theirs.row_version)
          }}
        />
      ) : (
        <ErrorNote error={error} />
      )}
    </li>
  )
}
