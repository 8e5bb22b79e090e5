const CLOCK = /^(\d+)\s*h(?:\s*(\d{1,2})\s*(?:m|min)?)?$/i
const PLAIN = /^(\d+)\s*(?:m|min|minutes)?$/i

/**
 * "90", "1h 30", "1 h", "45 min" as minutes, nothing as none; anything else stays the text it is, so that the server says what is wrong
 * with it.
 */
export function minutesFrom(text: string): number | string {
  const trimmed = text.trim()
  if (trimmed === '') return 0
  const clock = CLOCK.exec(trimmed)
  if (clock) return Number(clock[1]) * 60 + Number(clock[2] ?? 0)
  const plain = PLAIN.exec(trimmed)
  return plain ? Number(plain[1]) : trimmed
}
