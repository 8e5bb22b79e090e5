import type { Verdict } from '../api/types'

/** Verdict tones of text in a drawing. */
export const TONE: Record<Verdict, string> = {
  sound: 'fill-sound',
  watch: 'fill-watch',
  act: 'fill-act',
  unproven: 'fill-unproven',
}
