import type { JobBench, PathStretch } from '../../shared/api/types'

export type Suspects = NonNullable<JobBench['suspects']>
/** How a part of the path stands: at fault by a reading, as belief has it, cleared by it, or nothing known. */
export type Light = 'at fault' | Suspects['parts'][number]['word'] | 'clear' | 'unknown'

export interface PathRow {
  stretches: PathStretch[]
  folded: boolean
}

const STANDS_OUT: Light[] = ['at fault', 'strong suspect', 'suspected']
/** So few that none of them is folded away. */
const FEW = 4

export function lightOf(stretch: PathStretch, suspects: Suspects | null): Light {
  if (stretch.convicted) return 'at fault'
  if (suspects?.progress !== null || suspects.parts.length === 0) return 'unknown'
  return suspects.parts.find((part) => part.unit === stretch.unit)?.word ?? 'clear'
}

const isPlain = (stretch: PathStretch, suspects: Suspects | null) => {
  const light = lightOf(stretch, suspects)
  const few = light === 'open' && (suspects?.parts.length ?? 0) <= FEW
  return !STANDS_OUT.includes(light) && !few && stretch.across === null
}

/** One row for each part that stands out, one for each run of parts of which nothing is to be said; a point that was read parts runs. */
export function foldedRows(
  stretches: PathStretch[],
  suspects: Suspects | null,
  read: (stretch: PathStretch, index: number) => boolean,
): PathRow[] {
  const rows: PathRow[] = []
  let open = false
  stretches.forEach((stretch, index) => {
    const plain = isPlain(stretch, suspects)
    const last = rows.at(-1)
    if (plain && open && last) last.stretches.push(stretch)
    else rows.push({ stretches: [stretch], folded: plain })
    open = plain && !read(stretch, index)
  })
  return rows.map((row) => ({ ...row, folded: row.folded && row.stretches.length > 1 }))
}

/** What is said of a folded run. */
export function foldedWords(row: PathRow, suspects: Suspects | null) {
  const lights = new Set(row.stretches.map((stretch) => lightOf(stretch, suspects)))
  const parts = `${row.stretches.length} parts`
  if (lights.has('open')) return `${parts}, open`
  return lights.has('clear') ? `${parts}, not suspected` : parts
}

/** What a reading left of the suspects. */
export const leftBy = (readingId: string, suspects: Suspects | null) =>
  suspects?.left.find((one) => one.reading_id === readingId)?.words
