const WIDTH = 96
const HEIGHT = 14

interface Props {
  /** Ends of the scale: the same for a whole column. */
  ends: readonly [number, number]
  value: number
  /** What it should lie in, or may be off by. */
  band?: readonly [number, number]
  /** A limit it is held against. */
  limit?: number
  tone: string
}

/** A figure at its place on a short scale, so that a column reads downwards. What it is stands beside it in words. */
export function Scale({ ends, value, band, limit, tone }: Props) {
  const [from, to] = ends
  const x = (at: number) => 4 + Math.min(Math.max((at - from) / (to - from), 0), 1) * (WIDTH - 8)
  return (
    <svg width={WIDTH} height={HEIGHT} aria-hidden="true" className={`block ${tone}`}>
      <path d={`M4 7H${WIDTH - 4}`} className="stroke-hair" strokeWidth="1" />
      {band && <path d={`M${x(band[0])} 7H${x(band[1])}`} className="stroke-hair" strokeWidth="8" />}
      {limit !== undefined && <path d={`M${x(limit)} 1V13`} className="stroke-quiet" strokeWidth="1.5" />}
      <circle cx={x(value)} cy="7" r="4.5" fill="currentColor" />
    </svg>
  )
}
