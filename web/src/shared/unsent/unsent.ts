import type { Wish } from '../api/wish'
import type { Refusal } from '../api/http'

/**
 * What somebody typed and the server has not confirmed, as one record: the text, the id it goes out under, the version it started from, where
 * it was typed, and what became of it.
 *   draft: typed, and never sent as it is; a form opens with it
 *   sending: on its way, or it was when the page went: the same id is sent again, and is done once
 *   waiting: sent without a clear answer, or to be sent when the network is back, in order
 *   refused: the server said no; stays until it is mended, sent again or thrown away
 */
type State = 'draft' | 'sending' | 'waiting' | 'refused'

export interface Unsent {
  /** Of this record, for as long as there is one. */
  key: string
  /** Of the request; another one only after the server has refused it for good. */
  id: string
  person: number
  /** Of the form. */
  name: string
  /** Of the tab that types it. */
  tab: string
  value: object
  /** Version of what it changes, as it was when it was begun. */
  base: number | null
  state: State
  wish: Wish | null
  page: string
  /** When it was typed or put into the line; its place in the line. */
  at: string
  refusal: Refusal | null
  /** A refused record that this draft mends; it goes when the mended one is saved. */
  mends: string | null
  /** The tab in which somebody set out to mend it. */
  mendedIn: string | null
}

export const fresh = (
  about: Pick<Unsent, 'person' | 'name' | 'tab' | 'value' | 'page'> & Partial<Pick<Unsent, 'base' | 'mends'>>,
): Unsent => ({
  key: crypto.randomUUID(),
  id: crypto.randomUUID(),
  base: null,
  mends: null,
  mendedIn: null,
  state: 'draft',
  wish: null,
  at: new Date().toISOString(),
  refusal: null,
  ...about,
})
