import type { DraftRow } from '../../shared/api/drafts'

interface Column {
  key: string
  label: string
}

export const COLUMNS: Record<DraftRow['kind'], readonly Column[]> = {
  component: [
    { key: 'id', label: 'Id' },
    { key: 'kind', label: 'Kind' },
    { key: 'label', label: 'Name' },
    { key: 'zone', label: 'Zone' },
    { key: 'facts', label: 'Facts' },
  ],
  wire: [
    { key: 'number', label: 'Wire' },
    { key: 'from', label: 'From' },
    { key: 'to', label: 'To' },
    { key: 'colour', label: 'Colour' },
    { key: 'size', label: 'Size' },
    { key: 'length_m', label: 'Length, m' },
    { key: 'zone', label: 'Zone' },
    { key: 'facts', label: 'Facts' },
  ],
}

/** The columns side by side on a laptop, and the row's own buttons. */
export const GRID: Record<DraftRow['kind'], string> = {
  component: 'desk:grid-cols-[4.5rem_7.5rem_minmax(6rem,1fr)_6rem_minmax(8rem,1.6fr)_4rem]',
  wire: 'desk:grid-cols-[4rem_minmax(5rem,1fr)_minmax(5rem,1fr)_6rem_5rem_4rem_5rem_minmax(4rem,0.8fr)_2rem]',
}

/** What a row is called where it is spoken of. */
export const nameOf = (row: Pick<DraftRow, 'kind' | 'typed'>): string =>
  row.kind === 'wire' ? `wire ${row.typed.number ?? ''}` : (row.typed.id ?? '')
