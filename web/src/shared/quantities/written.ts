const RULES: readonly [RegExp, string][] = [
  [/\bdeg([CF])\b/g, '°$1'],
  [/(^|\d )percent\b/g, '$1%'],
  [/\b([mkM]?)ohm\b/g, '$1Ω'],
  [/\bmm2\b/g, 'mm²'],
  [/\bu(?=[AVsF]\b)/g, 'µ'],
  [/(^|[\s(=])-(?=\d)/g, '$1−'],
]

/** A text with its units as people write them: "0.3 mohm at 20 degC" is 0.3 mΩ at 20 °C. What is stored and sent keeps ASCII. */
export const written = (text: string): string =>
  RULES.reduce((sofar, [plain, sign]) => sofar.replace(plain, sign), text)

/** Fields of a reply that are for reading only; a symbol that is sent back, an id, and what somebody typed stay as they are. */
const READ = new Set(
  (
    'summary arithmetic reasons traps instead source unit formula help how means when answer lines detail condition_line spoken size ' +
    'message text label title words expect why judged_by way_out now earlier stands advice'
  ).split(' '),
)

/** A reply with the texts that are for people written as people write. */
export function writtenOut<T>(reply: T, key = ''): T {
  if (typeof reply === 'string') return (READ.has(key) ? written(reply) : reply) as T
  if (Array.isArray(reply)) return reply.map((one: unknown) => writtenOut(one, key)) as T
  if (typeof reply !== 'object' || reply === null) return reply
  return Object.fromEntries(Object.entries(reply).map(([name, value]) => [name, writtenOut<unknown>(value, name)])) as T
}
