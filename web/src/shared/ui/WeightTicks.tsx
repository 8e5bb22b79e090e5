const TICKS: Record<string, number> = { proof: 3, support: 2, hint: 1, none: 0 }
const WORDS: Record<string, string> = {
  proof: 'proof: under its load, at the place',
  support: 'support: right place or right load, not both',
  hint: 'hint: unloaded, or by eye',
  none: 'proves nothing yet',
}

/** Evidence weight: three ticks at rest, words on hover and for readers. */
export function WeightTicks({ weight }: { weight: string }) {
  const count = TICKS[weight] ?? 0
  return (
    <span className="inline-flex items-center gap-1.5 text-quiet" title={WORDS[weight]}>
      <svg viewBox="0 0 18 14" className="h-3.5 w-4.5 flex-none" aria-hidden="true">
        {[0, 1, 2].map((index) => (
          <path
            key={index}
            d={`M${3 + index * 6} 1v12`}
            stroke="currentColor"
            strokeWidth={index < count ? 3 : 1}
            opacity={index < count ? 1 : 0.5}
          />
        ))}
      </svg>
      <span className="sr-only">{WORDS[weight]}</span>
      <span aria-hidden="true">{weight === 'none' ? 'proves nothing' : weight}</span>
    </span>
  )
}
