import type { components } from '../api/schema'

/** What a pin or wire is at, as the server says it. */
export type Stands = NonNullable<components['schemas']['StandsByState'][number]>

/** plain; lit: what was asked for; feed and back: the way to supply and to ground; fault and suspect: of a job; dim: beside the point. */
export type Shade = 'plain' | 'lit' | 'feed' | 'back' | 'fault' | 'suspect' | 'dim'

export interface WireLook {
  shade: Shade
  /** Recoloured by what it is at; null shows its own colours. */
  stands: Stands | null
  /** In place of its words on the sheet, its number first. */
  words: string | null
}

export interface PartLook {
  shade: Shade
  /** dead: falls dead with what is open; open: is what was opened; live: a hazard; fault, suspect: of a job; marked: something is said of it;
   *  read: only its notes are. */
  mark: 'dead' | 'open' | 'live' | 'fault' | 'suspect' | 'marked' | 'read' | null
  /** Said beside it, each on a line. */
  notes: string[]
}

/** How each wire (by uuid) and part (by id) looks just now. */
export interface Looks {
  wire: (uuid: string | null) => WireLook
  part: (id: string | null) => PartLook
}
