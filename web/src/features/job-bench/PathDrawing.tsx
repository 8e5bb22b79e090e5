import type { PathLoop, PathStretch } from '../../shared/api/types'
import { VerdictMark } from '../../shared/ui/VerdictMark'

interface Stop {
  node: string
  label: string
  reading: PathStretch['reading']
}

/** The stop after each stretch, in the direction of the current. */
function stopAfter(stretch: PathStretch, side: 'feed' | 'return'): Stop {
  return { node: stretch.to, label: stretch.to_label, reading: side === 'feed' ? stretch.reading : null }
}

function StopRow({ stop, side, onTouch }: { stop: Stop; side: 'feed' | 'return'; onTouch: Touch }) {
  const dot = `absolute top-1/2 -left-[0.46875rem] size-3 -translate-y-1/2 rounded-full border-3 bg-ground ${side === 'feed' ? 'border-copper' : 'border-graphite'}`
  const words = (
    <>
      <span>{stop.label}</span>
      {stop.reading && (
        <span className="flex items-center gap-1.5 font-semibold">
          <VerdictMark verdict={stop.reading.verdict} word={false} />
          {stop.reading.spoken}
        </span>
      )}
    </>
  )
  const row = 'flex w-full items-center justify-between gap-3 text-left'
  return (
    <div className={`relative -ml-[3px] border-l-3 pl-4 ${side === 'feed' ? 'border-copper' : 'border-graphite'}`}>
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

type Touch = ((node: string) => void) | undefined

function Side({
  title,
  side,
  stretches,
  onTouch,
}: {
  title: string
  side: 'feed' | 'return'
  stretches: PathStretch[]
  onTouch: Touch
}) {
  const line = side === 'feed' ? 'border-copper' : 'border-graphite'
  const first = stretches[0]
  if (!first) return null
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
        {stretches.map((stretch, index) => {
          const next = stretches[index + 1]
          const stop =
            side === 'return' && next
              ? { node: stretch.to, label: stretch.to_label, reading: next.reading }
              : stopAfter(stretch, side)
          return (
            <li key={stretch.unit + stretch.to}>
              <p
                className={`-ml-[3px] border-l-3 py-0.5 pl-4 ${stretch.convicted ? 'border-dashed border-act font-semibold text-act' : `${line} text-quiet`}`}
              >
                {stretch.label}
                {stretch.convicted && ': at fault'}
                {stretch.across && (
                  <span className="pl-3 font-semibold text-ink">
                    {stretch.across.spoken} {stretch.across.verdict}
                  </span>
                )}
              </p>
              <StopRow stop={stop} side={side} onTouch={onTouch} />
            </li>
          )
        })}
      </ol>
    </div>
  )
}

/** The circuit under suspicion: out along the feed, through what fails, back along its ground, with what was read at every stop. */
export function PathDrawing({ path, onTouch }: { path: PathLoop; onTouch: Touch }) {
  return (
    <section aria-labelledby="path">
      <h2 id="path" className="rule-below pb-1 text-lead">
        The way to {path.load} and back
      </h2>
      <div className="grid gap-x-8 gap-y-4 pt-3 desk:grid-cols-2">
        <Side title="Feed, from the post" side="feed" stretches={path.feed} onTouch={onTouch} />
        <Side title={`Return, from ${path.load}`} side="return" stretches={path.return} onTouch={onTouch} />
      </div>
    </section>
  )
}
