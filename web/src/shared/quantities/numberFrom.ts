/**
 * "3,5" and "3.5" as a number, nothing as null; anything else stays the text it is, so that the server says what is wrong
 * with it and nothing typed is lost.
 */
export function numberFrom(text: string): number | string | null {
  const trimmed = text.trim()
  if (trimmed === '') return null

  return /^[+-]?\d+([.,]\d+)?$/.test(trimmed) ? Number(trimmed.replace(',', '.')) : trimmed
}
