import type { HttpError } from '../api/http'

/**
 * What became of a write that got no yes.
 *   unknown: no answer, or one from between us and the server: it may have been done
 *   signedOut, later: not done, and right as it is: goes out again under the same id
 *   conflict: not done, somebody else was first: to be looked at
 *   saved: done, now or by an earlier try of the same, and not shown
 *   refused: not done, and would be refused again: what is mended is another request
 */
export type Fate = 'unknown' | 'signedOut' | 'later' | 'conflict' | 'saved' | 'refused'

const BETWEEN_US = [0, 408, 500, 502, 504]

export function fateOf(error: HttpError): Fate {
  // Our own server says so where it broke: what it had begun it took back.
  if (BETWEEN_US.includes(error.status)) return error.code === 'our_fault' ? 'refused' : 'unknown'
  if (error.status === 401) return 'signedOut'
  if (error.status === 429 || error.status === 503) return 'later'
  if (error.code === 'edit_conflict') return 'conflict'
  if (error.code === 'id_taken' || error.code === 'not_shown') return 'saved'
  return 'refused'
}
