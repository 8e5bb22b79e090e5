/** The byte order marks of UTF-16, low byte first and high byte first. */
const WIDE: Record<string, string> = { '255 254': 'utf-16le', '254 255': 'utf-16be' }

/** A file as text, whatever letters the program that wrote it used. */
export async function textOf(file: File): Promise<string> {
  const bytes = await file.arrayBuffer()
  const wide = WIDE[new Uint8Array(bytes.slice(0, 2)).join(' ')]
  if (wide !== undefined) return new TextDecoder(wide).decode(bytes)
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}
