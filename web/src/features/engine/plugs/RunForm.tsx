import type { Engine, PlugSearch } from '../../../shared/api/engines'
import { Button } from '../../../shared/ui/Button'
import { ErrorNote } from '../../../shared/ui/ErrorNote'
import { useTell } from '../useTell'

const NONE: { dead: number[] } = { dead: [] }

/** How it ran: the cylinders that did not fire are pressed. */
export function RunForm({ engine, plugs, look }: { engine: Engine; plugs: PlugSearch; look: 'filled' | 'plain' }) {
  const { value, change, tell, error, isPending } = useTell(engine, 'run', NONE)
  const toggle = (cylinder: number) => {
    const dead = value.dead.includes(cylinder)
      ? value.dead.filter((one) => one !== cylinder)
      : [...value.dead, cylinder].sort((one, other) => one - other)
    change({ dead })
  }
  return (
    <form
      className="flex w-full flex-wrap items-end gap-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void tell({ craft: 'plugs', kind: 'run', dead: value.dead }, `run, dead: ${value.dead.join(', ') || 'none'}`)
      }}
    >
      <fieldset className="flex flex-wrap gap-2">
        <legend className="pb-1 font-bold">Dead in this run</legend>
        {plugs.cylinders.map(({ cylinder }) => (
          <button
            key={cylinder}
            type="button"
            aria-pressed={value.dead.includes(cylinder)}
            aria-label={`Cylinder ${cylinder} is dead`}
            className="min-h-12 min-w-12 border-2 border-current text-lead font-bold aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-ground"
            onClick={() => {
              toggle(cylinder)
            }}
          >
            {cylinder}
          </button>
        ))}
      </fieldset>
      <Button type="submit" look={look} disabled={isPending}>
        {value.dead.length === 0 ? 'It fires on all' : 'It ran like that'}
      </Button>
      <ErrorNote error={error} />
    </form>
  )
}
