import type { Ground, GroundRead } from '../../shared/api/grounds'
import { glued } from '../../shared/quantities/glued'
import { spokenDate, spokenDay } from '../../shared/quantities/when'
import { VerdictMark } from '../../shared/ui/VerdictMark'

function Read({ read, word }: { read: GroundRead | null; word: string }) {
  if (!read) return null
  return (
    <span className="grid grid-cols-[3.5rem_6rem_auto] items-baseline gap-x-2">
      <span className="text-quiet">{word}</span>
      <span className="text-lead font-semibold">{glued(`${String(read.milliohm)} mΩ`)}</span>
      {read.verdict !== 'sound' && <VerdictMark verdict={read.verdict} word={false} />}
    </span>
  )
}

interface Props {
  ground: Ground
  zone: string
  here: boolean
  onGo: () => void
}

/** A ground: what hangs on it, its milliohms before and after the last time, when it is due. */
export function GroundRow({ ground, zone, here, onGo }: Props) {
  const { last } = ground
  return (
    <li className={`rule-below ${here ? 'bg-hair/40' : ''}`}>
      <button
        type="button"
        aria-current={here ? 'step' : undefined}
        className="grid min-h-12 w-full grid-cols-[1.5rem_1fr] gap-x-3 gap-y-1 py-3 text-left font-figure desk:grid-cols-[1.5rem_1fr_14rem]"
        onClick={onGo}
      >
        <span className="pt-1">
          <VerdictMark verdict={(last?.after ?? last?.before)?.verdict ?? 'unproven'} word={false} />
        </span>
        <span>
          <span className="font-label text-lead font-bold">{ground.label}</span>
          {ground.size && <span className="text-quiet"> {glued(ground.size)}</span>}
          <span className="block text-quiet">
            {ground.hangs.length > 0 ? ground.hangs.join(', ') : 'nothing drawn on it'}
          </span>
          {ground.sisters && (
            <span className={`block ${ground.sisters.far ? 'font-semibold' : 'text-quiet'}`}>
              {glued(ground.sisters.words)}
              {ground.sisters.far && ': this one is far off'}
            </span>
          )}
        </span>
        <span className="col-start-2 desk:col-start-3">
          {last ? (
            <>
              <Read read={last.before} word="before" />
              <Read read={last.after} word="after" />
              <span className="text-quiet">
                {spokenDay(last.at, zone)}
                {ground.due_on && `, due ${spokenDate(ground.due_on)}`}
              </span>
            </>
          ) : (
            <span className="text-quiet">never looked after</span>
          )}
        </span>
      </button>
    </li>
  )
}
