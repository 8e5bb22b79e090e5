import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import opentype from 'opentype.js'

/** Sizes of type in units of the drawing. */
export const SIZE = { name: 13, wire: 12.5, pin: 11.5 }
/** Lines of words stand so far apart. */
export const LINE = 14

const from = createRequire(import.meta.url)
/** @param {string} file */
const face = (file) => {
  const bytes = readFileSync(from.resolve(`@expo-google-fonts/archivo-narrow/${file}`))
  return opentype.parse(bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength))
}
const plain = face('500Medium/ArchivoNarrow_500Medium.ttf')
const bold = face('700Bold/ArchivoNarrow_700Bold.ttf')

/**
 * Width of a line, in units of the drawing, in the face that browser and paper use.
 *
 * @param {string} text
 * @param {number} size
 * @param {{ heavy?: boolean }} [look]
 */
export const widthOf = (text, size, look = {}) => (look.heavy ? bold : plain).getAdvanceWidth(text, size)

/**
 * Breaks words into lines of at most so many units; a longer word has a line of its own.
 *
 * @param {string} text
 * @param {number} most
 * @returns {string[]}
 */
export function wrap(text, most) {
  /** @type {string[]} */
  const lines = []
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const joined = lines.length > 0 ? `${lines.at(-1)} ${word}` : word
    if (lines.length > 0 && widthOf(joined, SIZE.name) <= most) lines[lines.length - 1] = joined
    else lines.push(word)
  }
  return lines
}
