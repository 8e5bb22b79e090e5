/** What can be chosen from a list that one types into: label is what then stands in the box. */
export interface Choice {
  label: string
  detail?: string
}

const plain = (text: string) =>
  text
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()

/** Those that have every word that was typed, whatever its capitals; those that begin with it come first. */
export function matching<One extends Choice>(choices: readonly One[], typed: string): One[] {
  const words = plain(typed).split(' ')
  const found = choices.filter((one) => {
    const text = plain(`${one.label} ${one.detail ?? ''}`)
    return words.every((word) => text.includes(word))
  })
  const first = (one: One) => (plain(one.label).startsWith(plain(typed)) ? 0 : 1)
  return found.sort((one, other) => first(one) - first(other))
}

/** The one that was meant, where there is no doubt: its whole label, whatever its capitals, or the only one with these words. */
export function meant<One extends Choice>(choices: readonly One[], typed: string): One | undefined {
  if (plain(typed) === '') return undefined
  const whole = choices.find((one) => plain(one.label) === plain(typed))
  if (whole) return whole
  const found = matching(choices, typed)
  return found.length === 1 ? found[0] : undefined
}
