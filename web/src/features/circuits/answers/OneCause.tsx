import { Button } from '../../../shared/ui/Button'
import type { CommonCause } from '../../../shared/api/circuits'
import { spokenItem } from '../spoken'

const KINDS = { open: 'open', series: 'too many ohms', shorted: 'shorted to ground' }
const MOST_NAMED = 8

function rankWords(cause: CommonCause, rank: number): string {
  const whole = cause.misses.length === 0 && cause.breaks.length === 0 ? 'Explains all of it' : 'Explains part of it'
  return rank > 1 && cause.as_likely ? `${whole}, as likely` : whole
}

/** One cause of a list of what was seen: what it is, and what it makes of everything that was said. */
export function OneCause({
  cause,
  rank,
  onOpen,
}: {
  cause: CommonCause
  rank: number
  onOpen: (item: string) => void
}) {
  const line = (title: string, words: string[]) =>
    words.length > 0 && (
      <div className="contents">
        <dt className="font-label text-quiet">{title}</dt>
        <dd>{words.join(', ')}</dd>
      </div>
    )
  return (
    <li className="rule-below py-3">
      <p className="font-label text-lead font-bold">
        {rank}. {rankWords(cause, rank)}
      </p>
      <p className="text-quiet">{cause.kinds.map((kind) => KINDS[kind]).join(' or ')}:</p>
      <p className="py-1">
        {cause.items.slice(0, MOST_NAMED).map((item) => (
          <Button
            key={item.key}
            look="inline"
            className="mr-3"
            onClick={() => {
              onOpen(item.key)
            }}
          >
            {spokenItem(item)}
          </Button>
        ))}
        {cause.items.length > MOST_NAMED && (
          <span className="text-quiet">and {cause.items.length - MOST_NAMED} more</span>
        )}
      </p>
      {cause.items.length > 1 && (
        <p className="text-quiet">Nothing that was said tells these apart: measure between them.</p>
      )}
      <dl className="grid grid-cols-[8rem_1fr] gap-x-4 pt-1">
        {line('Explains', cause.explains)}
        {line('Leaves working', cause.leaves)}
        {line('Does not explain', cause.misses)}
        {line('Would also kill', cause.breaks)}
        {line('Then dead too', cause.also_dead)}
      </dl>
    </li>
  )
}
