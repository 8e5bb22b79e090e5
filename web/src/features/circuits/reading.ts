import type { SheetTable } from '../../shared/api/circuits'
import type { Place } from './useSheetPlace'

/** A sheet that is read: what is asked of it, in which key state, and the ways on from there. */
export interface Reading {
  sheet: SheetTable
  place: Place
  state: string
  go: (next: Partial<Place>) => void
  sheetOf: (key: string) => string | undefined
  /** On a phone the answer stands below the drawing. */
  toAnswer: () => void
}
