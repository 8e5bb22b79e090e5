import type { components } from '../api/schema'

/** What a pin or wire is at, as the server says it. */
export type Stands = NonNullable<components['schemas']['StandsByState'][number]>

/** plain; lit: what was asked for; feed and back: the way to supply and to ground; dim: beside the point. */
export type Shade = 'plain' | 'lit' | 'feed' | 'back' | 'dim'

export interface WireLook {
  shade: Shade
  /** Recoloured by what it is at; null shows its own colours. */
  stands: Stands | null
  /** In place of its words on the sheet, its number first. */
  words: string | null
}

export interface PartLook {
  shade: Shade
  /** dead: falls dead with what is open; open: is what was opened; live: a hazard; marked: something is said of it. */
  mark: 'dead' | 'open' | 'live' | 'marked' | null
  /** Said beside it, each on a line. */
  notes: string[]
}

/** How each wire (by uuid) and part (by id) looks just now. */
export interface Looks {
  wire: (uuid: string | null) => WireLook
  part: (id: string | null) => PartLook
}
