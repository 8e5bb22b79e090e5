import { placeLabels, wordsOf } from '../labels/place.js'
import { barsOf } from './bars.js'
import { layOut } from './elk.js'
import { flat } from './flat.js'
import { modelOf } from './model.js'
import { ordersOf } from './order.js'
import { scoreOf } from './score.js'

/** @typedef {ReturnType<typeof flat>} Picture */
/** @typedef {Picture & { words: ReturnType<typeof placeLabels> }} Worded */

/**
 * The best of several tries, as many as the time allows; one at least.
 *
 * @param {import('../types.js').PictureBrief} brief
 * @param {{ seeds: number, milliseconds: number }} most
 * @returns {Promise<Worded>}
 */
export async function drawLayered(brief, { seeds, milliseconds }) {
  const start = performance.now()
  let best = await attempt(brief, 1)
  let took = performance.now() - start
  for (let seed = 2; seed <= seeds && performance.now() - start + took < milliseconds; seed += 1) {
    const from = performance.now()
    const next = await attempt(brief, seed)
    took = Math.max(took, performance.now() - from)
    if (next.score < best.score) best = next
  }
  return best.picture
}

/**
 * First each way of a plug by itself; then plugs in bars with wires of one pin beside each other; then once more with room for those words
 * that found none.
 *
 * @param {import('../types.js').PictureBrief} brief @param {number} seed
 */
async function attempt(brief, seed) {
  const loose = modelOf(brief)
  const first = await layOut(loose, { seed })
  const places = placesOf(first)
  const model = modelOf(
    brief,
    barsOf(loose, (id) => places.node(id)),
  )
  const second = await layOut(model, { seed, orders: ordersOf(model, (port) => places.port(port.id)) })
  const again = placesOf(second)
  const orders = ordersOf(model, (port) => again.port(port.id))
  const labels = wantRoom(flat(brief, model, second))
  const picture = flat(brief, model, await layOut(model, { seed, orders, labels }))
  const words = placeLabels(picture)
  return { picture: { ...picture, words }, score: scoreOf(picture, words) }
}

/** @param {Picture} picture @returns {Map<string, string>} words by the number of the edge */
function wantRoom(picture) {
  const { bare, crossed } = placeLabels(picture)
  return new Map(
    [...bare, ...crossed].flatMap((index) =>
      picture.wires[index] ? [[String(index), wordsOf(picture.wires[index])]] : [],
    ),
  )
}

/** @param {import('elkjs').ElkNode} laid */
function placesOf(laid) {
  const nodes = new Map((laid.children ?? []).map((child) => [child.id, child.y ?? 0]))
  const ports = new Map(
    (laid.children ?? []).flatMap((child) =>
      (child.ports ?? []).map((port) => [port.id, (child.x ?? 0) + (port.x ?? 0)]),
    ),
  )
  return {
    node: (/** @type {string} */ id) => nodes.get(id) ?? 0,
    port: (/** @type {string} */ id) => ports.get(id) ?? 0,
  }
}
