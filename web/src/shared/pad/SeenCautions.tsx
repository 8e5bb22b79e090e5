import type { TestCard } from '../api/types'

interface Props {
  cautions: TestCard['cautions']
  seen: boolean
  onSeen: (seen: boolean) => void
}

/** Cautions that must be said yes to before a value is kept. */
export function SeenCautions({ cautions, seen, onSeen }: Props) {
  if (cautions.length === 0) return null
  return (
    <div className="flex flex-col gap-2 border-l-4 border-act pl-4">
      {cautions.map((caution) => (
        <p key={caution.id}>{caution.text}</p>
      ))}
      <label className="flex min-h-12 items-center gap-3 font-bold">
        <input
          type="checkbox"
          checked={seen}
          onChange={(event) => {
            onSeen(event.target.checked)
          }}
        />
        Seen and done
      </label>
    </div>
  )
}
