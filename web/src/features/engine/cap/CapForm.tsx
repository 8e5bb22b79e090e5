import type { Engine, NewEntry } from '../../../shared/api/engines'
import { numberFrom } from '../../../shared/quantities/numberFrom'
import { Button } from '../../../shared/ui/Button'
import { ErrorNote } from '../../../shared/ui/ErrorNote'
import { Segments } from '../../../shared/ui/Segments'
import { Tick } from '../../../shared/ui/Tick'
import { TextField } from '../../../shared/ui/TextField'
import { useTell } from '../useTell'

type Rotation = 'clockwise' | 'anticlockwise' | 'not known'
const ROTATIONS: { key: Rotation; label: string }[] = [
  { key: 'clockwise', label: 'Clockwise' },
  { key: 'anticlockwise', label: 'Anticlockwise' },
  { key: 'not known', label: 'Not known' },
]

interface Typed {
  order: string
  rotation: Rotation
  firstAt: string
  numbering: string
  intervals: string
  towers: string
  weak: string
  wasted: boolean
  needs: string
  leads: string
  seenAt: string
  mirrored: boolean
}

const joined = (list: number[] | null | undefined) => list?.join(' ') ?? ''

/** As it was drawn last: what is left out would draw another cap. */
function started({ cap }: Engine): Typed {
  return {
    order: cap?.order ?? '',
    rotation: (cap?.rotation ?? 'not known') as Rotation,
    firstAt: cap ? String(cap.first_at) : '12',
    numbering: cap?.numbering ?? '',
    intervals: joined(cap?.intervals),
    towers: joined(cap?.present),
    weak: joined(cap?.weak),
    wasted: cap?.wasted ?? false,
    needs: joined(cap?.needs),
    leads: joined(cap?.leads),
    seenAt: cap?.seen_first_at == null ? '' : String(cap.seen_first_at),
    mirrored: cap?.seen_mirrored ?? false,
  }
}

/** "1 3 4 2" as figures; what is none goes to the server as it is, so that it says so. */
const list = (text: string) =>
  text
    .split(/[\s,;-]+/)
    .filter(Boolean)
    .map((part) => numberFrom(part) as number)
const given = (name: string, text: string) => (text.trim() === '' ? {} : { [name]: list(text) })

function entryOf(typed: Typed): NewEntry {
  return {
    craft: 'cap',
    kind: 'wired',
    order: typed.order,
    rotation: typed.rotation,
    first_at: numberFrom(typed.firstAt) as number,
    numbering: typed.numbering,
    wasted: typed.wasted,
    ...given('intervals', typed.intervals),
    ...given('towers', typed.towers),
    ...given('weak', typed.weak),
    ...given('needs', typed.needs),
    ...given('leads', typed.leads),
    ...(typed.seenAt.trim() === ''
      ? {}
      : { seen_first_at: numberFrom(typed.seenAt) as number, seen_mirrored: typed.mirrored }),
  }
}

/** What a cap is drawn from: nothing about it is taken for granted. */
export function CapForm({ engine }: { engine: Engine }) {
  const { value, change, tell, error, isPending } = useTell(engine, 'cap', started(engine))
  const text = (key: keyof Typed, label: string, help?: string, field: string = key) => (
    <TextField
      label={label}
      help={help}
      value={value[key] as string}
      error={error?.fields[field]?.[0]}
      onText={(next) => {
        change({ ...value, [key]: next })
      }}
    />
  )
  return (
    <form
      className="flex flex-col gap-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void tell(entryOf(value), `cap ${value.order}`)
      }}
    >
      {text('order', 'Firing order', 'As it stands on the engine: 1-3-4-2')}
      {text(
        'numbering',
        'Cylinders count',
        'Which end or bank first, seen from where: “1 at the fan, from the driver’s seat”',
      )}
      <div className="flex flex-col gap-1">
        <span className="font-bold">Rotor turns, seen where the leads go in</span>
        <Segments
          label="Rotor turns"
          options={ROTATIONS}
          chosen={value.rotation}
          onChoose={(rotation) => {
            change({ ...value, rotation })
          }}
        />
        {value.rotation === 'not known' && (
          <p className="text-quiet">Both are drawn. Cap off, plugs out, crank it by hand and look at the rotor.</p>
        )}
      </div>
      {text('firstAt', 'Tower of cylinder 1, hour of the clock', '12 is at the top as you look at it', 'first_at')}
      {text('towers', 'Leads as they are now, clockwise from cylinder 1', 'Empty where all are off: 1 2 4 3')}
      {text('weak', 'Cylinders that are weak or dead')}
      <details>
        <summary className="min-h-12 content-center font-label font-bold">
          Loose leads, uneven engine, wasted spark, another view
        </summary>
        <div className="flex flex-col gap-4 pt-2">
          {text('needs', 'Way from tower to plug, cm, cylinder 1 first')}
          {text('leads', 'Lengths of the loose leads, cm')}
          {text(
            'intervals',
            'Uneven: degrees of the distributor to the next',
            'In the firing order, 360 in all: 90 270',
          )}
          <Tick
            label="Two cylinders share a coil (wasted spark)"
            on={value.wasted}
            onTick={(wasted) => {
              change({ ...value, wasted })
            }}
          />
          {text(
            'seenAt',
            'Drawn once more, with cylinder 1 at',
            'The hour at which another drawing has it',
            'seen_first_at',
          )}
          <Tick
            label="That one is seen from inside"
            on={value.mirrored}
            onTick={(mirrored) => {
              change({ ...value, mirrored })
            }}
          />
        </div>
      </details>
      <ErrorNote error={error} />
      <Button type="submit" look="main" className="self-start" disabled={isPending || value.order.trim() === ''}>
        Draw the cap
      </Button>
    </form>
  )
}
