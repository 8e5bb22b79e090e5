import { ToggleGroup } from 'radix-ui'

const SIZES = {
  /** a row of words to choose from */
  row: 'min-h-12 px-3 first:ml-0 dense:min-h-10',
  /** four words, two above two */
  pairs: '-mt-px min-h-12 px-3',
  /** beside a figure */
  tall: 'min-h-14 min-w-14 px-3 text-lead first:ml-0',
  /** two short answers */
  answer: 'min-h-12 min-w-16 first:ml-0',
  /** two short answers, one line under the other */
  dense: 'min-h-12 min-w-16 px-2 first:ml-0 dense:min-h-9',
}

/**
 * A few words side by side of which one holds. Arrow keys choose among them; where an answer may stay unsaid, pressing it again
 * takes it back, and each word is a stop of its own.
 */
export function Segments<Key extends string>({
  label,
  options,
  chosen,
  onChoose,
  onUnsay,
  size = 'row',
}: {
  label: string
  options: readonly { key: Key; label: string }[]
  chosen: Key | undefined
  onChoose: (key: Key) => void
  onUnsay?: () => void
  size?: keyof typeof SIZES
}) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={chosen ?? ''}
      rovingFocus={onUnsay === undefined}
      className={size === 'pairs' ? 'grid w-full grid-cols-2 pt-px pl-px' : 'flex max-w-full flex-none flex-wrap'}
      onValueChange={(value) => {
        const said = options.find((option) => option.key === value)
        if (said) onChoose(said.key)
        else onUnsay?.()
      }}
    >
      {options.map((option) => (
        <ToggleGroup.Item
          key={option.key}
          value={option.key}
          className={`-ml-px border border-quiet font-bold data-[state=on]:bg-ink data-[state=on]:text-ground ${SIZES[size]}`}
        >
          {option.label}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  )
}
