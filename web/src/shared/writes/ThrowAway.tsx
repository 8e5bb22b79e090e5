import { Button } from '../ui/Button'

/** Throws a draft away, where there is one. */
export function ThrowAway({ isDrafted, onThrowAway }: { isDrafted: boolean; onThrowAway: () => void }) {
  if (!isDrafted) return null
  return (
    <Button look="quiet" className="self-start" onClick={onThrowAway}>
      Throw away what is typed
    </Button>
  )
}
