import { useState, type ReactNode } from 'react'
import type { JobBench, PathLoop, PathStretch } from '../../shared/api/types'
import { VerdictMark } from '../../shared/ui/VerdictMark'
import { foldedRows, foldedWords, lightOf, type Light, type PathRow, type Suspects } from './path'
import { SuspectsLine } from './SuspectsLine'

type Way = 'feed' | 'return'
type Touch = ((node: string) => void) | undefined

interface Stop {
  node: string
  label: string
  reading: PathStretch['reading']
}

const LINE: Record<Way, string> = { feed: 'border-copper', return: 'border-graphite' }

/** The stop after each stretch, in the direction of the current. */
function stopAfter(stretches: PathStretch[], index: number, side: Way): Stop {
  const stretch = stretches[index]
  const reading = side === 'feed' ? stretch?.reading : stretches[index + 1]?.reading
  return { node: stretch?.to ?? '', label: stretch?.to_label ?? '', reading: reading ?? null }
}

function StopRow({ stop, side, onTouch }: { stop: Stop; side: Way; onTouch: Touch }) {
  const dot = `absolute top-1/2 -left-[0.46875rem] size-3 -translate-y-1/2 rounded-full border-3 bg-ground ${LINE[side]}`
  const words = (
    <>
      <span>{stop.label}</span>
      {stop.reading && (
        <span className="flex items-center gap-1.5 font-semibold whitespace-nowrap">
          <VerdictMark verdict={stop.reading.verdict} word={false} />
          {stop.reading.spoken}
        </span>
      )}
    </>
  )
  const row = 'flex w-full items-center justify-between gap-3 text-left'
  return (
    <div className={`relative -ml-[3px] border-l-3 pl-4 ${LINE[side]}`}>
      <span aria-hidden className={dot} />
      {onTouch ? (
        <button
          type="button"
          className={`${row} min-h-12 dense:min-h-8`}
          onClick={() => {
            onTouch(stop.node)
          }}
        >
          <span className="sr-only">Measure at </span>
          {words}
        </button>
      ) : (
        <span className={`${row} min-h-8`}>{words}</span>
      )}
    </div>
  )
}

const LIT: Record<Light, string> = {
  'at fault': 'border-dashed border-act font-semibold text-act',
  'strong suspect': 'border-dashed border-watch font-semibold text-watch',
  suspected: 'border-dashed border-watch font-semibold',
  open: 'text-quiet',
  clear: 'text-quiet',
  unknown: 'text-quiet',
}
const SAID: Light[] = ['at fault', 'strong suspect', 'suspected']

function Part({ stretch, light, side }: { stretch: PathStretch; light: Light; side: Way }) {
  const said = SAID.includes(light)
  return (
    <p className={`-ml-[3px] border-l-3 py-0.5 pl-4 ${said ? '' : LINE[side]} ${LIT[light]}`}>
      {stretch.label}
      {said && `: ${light}`}
      {stretch.across && (
        <span className="pl-3 font-semibold text-ink">
          {stretch.across.spoken} {stretch.across.verdict}
        </span>
      )}
    </p>
  )
}

function Folded({ row, side, children, words }: { row: PathRow; side: Way; words: string; children: ReactNode }) {
  const [open, setOpen] = useState(false)
  if (open) return children
  return (
    <button
      type="button"
      className={`-ml-[3px] flex min-h-12 w-[calc(100%+3px)] items-center border-l-3 border-dotted pl-4 text-left text-quiet dense:min-h-8 ${LINE[side]}`}
      aria-label={`Show ${words}: ${row.stretches[0]?.label ?? ''} and on`}
      onClick={() => {
        setOpen(true)
      }}
    >
      {words}
    </button>
  )
}

function Side({
  title,
  side,
  stretches,
  suspects,
  onTouch,
}: {
  title: string
  side: Way
  stretches: PathStretch[]
  suspects: Suspects | null
  onTouch: Touch
}) {
  const first = stretches[0]
  if (!first) return null
  const rows = foldedRows(stretches, suspects, (_, index) => stopAfter(stretches, index, side).reading !== null)
  const drawn = (stretch: PathStretch, between: boolean) => (
    <div key={stretch.unit + stretch.to}>
      <Part stretch={stretch} light={lightOf(stretch, suspects)} side={side} />
      {between && (
        <StopRow stop={stopAfter(stretches, stretches.indexOf(stretch), side)} side={side} onTouch={onTouch} />
      )}
    </div>
  )
  return (
    <div className="min-w-0">
      <h3 className="pb-1 font-label font-bold">{title}</h3>
      <ol className="pl-2">
        <li>
          <StopRow
            stop={{ node: first.from, label: first.from_label, reading: side === 'return' ? first.reading : null }}
            side={side}
            onTouch={onTouch}
          />
        </li>
        {rows.map((row) => {
          const last = row.stretches.at(-1)
          if (!last) return null
          return (
            <li key={last.unit + last.to}>
              {row.folded ? (
                <Folded row={row} side={side} words={foldedWords(row, suspects)}>
                  {row.stretches.map((stretch) => drawn(stretch, stretch !== last))}
                </Folded>
              ) : (
                drawn(last, false)
              )}
              <StopRow stop={stopAfter(stretches, stretches.indexOf(last), side)} side={side} onTouch={onTouch} />
            </li>
          )
        })}
      </ol>
    </div>
  )
}

/**
 * The circuit under suspicion: out along the feed, through what fails, back along its ground, with what was read at every stop and who is
 * suspected. Runs of parts of which nothing is to be said are folded.
 */
export function PathDrawing({ job, path, onTouch }: { job: JobBench; path: PathLoop; onTouch: Touch }) {
  return (
    <section aria-labelledby="path">
      <h2 id="path" className="rule-below pb-1 text-lead">
        The way to {path.load} and back
      </h2>
      <SuspectsLine job={job} />
      <div className="grid gap-x-8 gap-y-4 pt-3 desk:grid-cols-2">
        <Side title="Feed, from the post" side="feed" stretches={path.feed} suspects={job.suspects} onTouch={onTouch} />
        <Side
          title={`Return, from ${path.load}`}
          side="return"
          stretches={path.return}
          suspects={job.suspects}
          onTouch={onTouch}
        />
      </div>
    </section>
  )
}
