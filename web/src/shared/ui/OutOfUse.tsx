import type { TypedWish } from '../api/wish'
import { useWrite } from '../writes/useWrite'
import { Button } from './Button'
import { ErrorNote } from './ErrorNote'
import { TextField } from './TextField'

const UNSAID = { reason: '' }
const NOTHING = {}

interface Props<Reply> {
  one: { id: string; tag: string; scrapped_at: string | null; scrapped_because: string | null }
  scrap: (reason: string) => TypedWish<Reply>
  keep: () => TypedWish<Reply>
}

/** Taken out of use with its reason, or back onto the shelf. */
export function OutOfUse<Reply>({ one, scrap, keep }: Props<Reply>) {
  const going = useWrite<typeof UNSAID, Reply>({ name: `scrap:${one.id}`, empty: UNSAID })
  const staying = useWrite<object, Reply>({ name: `keep:${one.id}`, empty: NOTHING })
  if (one.scrapped_at) {
    return (
      <div className="flex flex-col items-start gap-3">
        <p>Scrapped: {one.scrapped_because}</p>
        <Button disabled={staying.isPending} onClick={() => void staying.write(keep)}>
          Back onto the shelf
        </Button>
        <ErrorNote error={staying.error} />
      </div>
    )
  }
  return (
    <form
      className="flex flex-col gap-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void going.write(() => scrap(going.value.reason))
      }}
    >
      <TextField
        label="Scrap it, because"
        error={going.error?.fields.reason?.[0]}
        value={going.value.reason}
        onText={(text) => {
          going.change({ reason: text })
        }}
      />
      <Button type="submit" className="self-start" disabled={going.isPending || going.value.reason.trim() === ''}>
        Scrap {one.tag}
      </Button>
      <ErrorNote error={going.error} />
    </form>
  )
}
