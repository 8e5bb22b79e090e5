import { createInterface } from 'node:readline'
import { draw } from './draw.js'

/** It ends when nobody asks for so long. */
const IDLE_MILLISECONDS = 10 * 60 * 1000

/** A tenth of a unit is finer than any screen shows. @param {string} _key @param {unknown} value */
const short = (_key, value) => (typeof value === 'number' && Math.abs(value) > 1 ? Math.round(value * 10) / 10 : value)

const rest = () => setTimeout(() => process.exit(0), IDLE_MILLISECONDS)
let idle = rest()

// One sheet a line comes in, one drawing a line goes out, in the same order: whoever asks keeps this process warm.
for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
  clearTimeout(idle)
  let answer
  try {
    const { brief, seeds } = JSON.parse(line)
    answer = { drawing: await draw(brief, { seeds }) }
  } catch (error) {
    answer = { problem: error instanceof Error ? error.message : String(error) }
  }
  process.stdout.write(`${JSON.stringify(answer, short)}\n`)
  idle = rest()
}
process.exit(0)
