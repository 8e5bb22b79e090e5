import type { Verdict } from '../api/types'

const TONE: Record<Verdict, string> = {
  sound: 'text-sound',
  watch: 'text-watch',
  act: 'text-act',
  unproven: 'text-unproven',
}

/** The loop as a verdict: closed ring, ring worn thin, ring with a gap, dotted ring. */
function Ring({ verdict }: { verdict: Verdict }) {
  switch (verdict) {
    case 'sound':
      return <circle cx="10" cy="10" r="7" strokeWidth="3.4" />
    case 'watch':
      return (
        <>
          <path d="M10 3a7 7 0 0 0 0 14" strokeWidth="3.4" />
          <path d="M10 17a7 7 0 0 0 0-14" strokeWidth="1" />
        </>
      )
    case 'act':
      return <path d="M14.5 4.6a7 7 0 1 0 0 10.8" strokeWidth="3.4" />
    case 'unproven':
      return <circle cx="10" cy="10" r="7" strokeWidth="2.6" strokeDasharray="2.2 3.3" />
  }
}

/** A verdict is always word and mark together; in a gutter the word goes to the side that has room for it. */
export function VerdictMark({ verdict, word = true }: { verdict: Verdict; word?: boolean }) {
  return (
    <span className={`inline-flex items-center gap-1.5 font-label font-bold ${TONE[verdict]}`}>
      <svg viewBox="0 0 20 20" className="size-5 flex-none" fill="none" stroke="currentColor" aria-hidden="true">
        <Ring verdict={verdict} />
      </svg>
      <span className={word ? '' : 'sr-only'}>{verdict}</span>
    </span>
  )
}
