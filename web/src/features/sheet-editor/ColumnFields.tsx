import type { ListColumns, ListMapping } from '../../shared/api/drafts'

/** Which heading is what of a wire, with what stands first under it. */
export function ColumnFields({
  read,
  columns,
  unit,
  onColumns,
  onUnit,
}: {
  read: ListColumns
  columns: ListMapping
  unit: ListColumns['length_unit']
  onColumns: (columns: ListMapping) => void
  onUnit: (unit: ListColumns['length_unit']) => void
}) {
  return (
    <ul aria-label="Columns">
      {read.columns.map(({ column, label, needed }) => {
        const index = columns[column]
        const examples = index === undefined ? [] : (read.headings[index]?.examples ?? [])
        return (
          <li key={column} className="rule-below grid grid-cols-[6.5rem_1fr] items-center gap-x-3 gap-y-1 py-1">
            <label htmlFor={`column-${column}`} className="font-bold">
              {label}
            </label>
            <select
              id={`column-${column}`}
              value={index ?? ''}
              aria-invalid={needed && index === undefined ? true : undefined}
              onChange={(event) => {
                const rest = Object.fromEntries(Object.entries(columns).filter(([name]) => name !== column))
                onColumns(event.target.value === '' ? rest : { ...rest, [column]: Number(event.target.value) })
              }}
            >
              <option value="">{needed ? 'Choose' : 'not in the list'}</option>
              {read.headings.map((heading, at) => (
                <option key={at} value={at}>
                  {heading.words || `column ${at + 1}`}
                </option>
              ))}
            </select>
            {index !== undefined && (
              <p className="col-start-2 text-quiet">
                {examples.length > 0 ? examples.join(', ') : 'nothing in it'}
                {column === 'length' && (
                  <>
                    {', in '}
                    <select
                      aria-label="Unit of the lengths"
                      className="w-auto"
                      value={unit}
                      onChange={(event) => {
                        onUnit(event.target.value as ListColumns['length_unit'])
                      }}
                    >
                      {read.length_units.map((one) => (
                        <option key={one}>{one}</option>
                      ))}
                    </select>
                  </>
                )}
              </p>
            )}
          </li>
        )
      })}
    </ul>
  )
}
