import { Button } from '../../../shared/ui/Button'
import { useWide } from '../../../shared/ui/useWide'
import type { SheetTable } from '../../../shared/api/circuits'

type Watch = SheetTable['watches'][number]

function Names({ title, watches, onPart }: { title: string; watches: Watch[]; onPart: (part: string) => void }) {
  if (watches.length === 0) return null
  return (
    <div className="contents">
      <dt className="pt-3 font-label text-quiet">{title}</dt>
      <dd className="pb-3">
        {watches.map((watch) => (
          <Button
            key={watch.key}
            look="inline"
            className="mr-4"
            onClick={() => {
              onPart(watch.key)
            }}
          >
            {watch.label}
          </Button>
        ))}
      </dd>
    </div>
  )
}

/** What a sound unit does in the chosen state: the list to hold the machine against. */
export function Working({
  sheet,
  stateIndex,
  onPart,
}: {
  sheet: SheetTable
  stateIndex: number
  onPart: (part: string) => void
}) {
  const wide = useWide()
  const told = sheet.watches.filter((watch) => watch.works[stateIndex] !== null)
  const label = sheet.states[stateIndex]?.label
  if (told.length === 0 || label === undefined) return null
  return (
    <details open={wide} className="pt-3">
      <summary className="flex min-h-12 cursor-pointer items-center font-label text-lead font-bold">
        <span className={wide ? '' : 'link-words'}>A sound unit, {label.toLowerCase()}</span>
      </summary>
      <dl className="grid grid-cols-[3rem_1fr] gap-x-4">
        <Names title="On" watches={told.filter((watch) => watch.works[stateIndex])} onPart={onPart} />
        <Names title="Off" watches={told.filter((watch) => !watch.works[stateIndex])} onPart={onPart} />
      </dl>
    </details>
  )
}
