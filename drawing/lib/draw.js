import { drawLine } from './bus/draw.js'
import { drawLayered } from './layered/draw.js'
import { cutsOf } from './pages/cuts.js'
import { strip } from './straps/strip.js'
import { patches } from './zones/patches.js'

/**
 * A sheet as it is drawn: in one picture, or in one a zone where it is too large for one.
 *
 * @param {import('./types.js').Brief} brief
 * @param {{ seeds: number }} most tries, of which the best is kept
 * @returns {Promise<import('./types.js').Drawing>}
 */
export async function draw({ pieces, ...sheet }, { seeds }) {
  const pictures = []
  for (const piece of pieces) {
    pictures.push(await drawPicture({ ...sheet, ...piece }, { seeds: pieces.length > 1 ? 1 : seeds }))
  }
  return { pictures }
}

/**
 * @param {import('./types.js').PictureBrief} brief
 * @param {{ seeds: number }} most
 * @returns {Promise<import('./types.js').Picture>}
 */
async function drawPicture(brief, most) {
  const laid = drawLine(brief) ?? (await drawLayered(brief, most))
  const zones = patches(laid.parts, brief.zones, laid.words.taken)
  const straps = strip(brief, laid.height)
  const whole = {
    width: Math.ceil(Math.max(laid.width, straps.width)),
    height: Math.ceil(laid.height + straps.height),
    parts: [...laid.parts, ...straps.parts],
    wires: [...laid.wires, ...straps.wires],
  }
  return { zone: brief.zone, label: brief.label, ...whole, zones, cuts: cutsOf(whole), faults: faultsOf(laid) }
}

/** @param {Awaited<ReturnType<typeof drawLayered>>} laid @returns {import('./types.js').Picture['faults']} */
function faultsOf({ wires, words }) {
  const named = (/** @type {number[]} */ some, /** @type {'number only' | 'on a wire'} */ what) =>
    some.flatMap((index) => (wires[index]?.wire ? [{ wire: wires[index].wire, what }] : []))
  return [...named(words.bare, 'number only'), ...named(words.crossed, 'on a wire')]
}
