import { placeLabels, wordsOf } from '../labels/place.js'
import { barsOf } from './bars.js'
import { layOut } from './elk.js'
import { flat } from './flat.js'
import { modelOf } from './model.js'
import { ordersOf } from './order.js'
import { scoreOf } from './score.js'

/** @typedef {ReturnType<typeof flat>} Picture */
/** @typedef {Picture & { words: ReturnType<typeof placeLabels> }} Worded */

/** Wires of all tries together: those of the largest sheet that ships twice, of most sheets four times. */
const WIRES_OF_ALL_TRIES = 240

/**
 * The best of several tries, fewer of a large sheet; one at least. How many is told by its size and not by a clock: the same sheet is the same
 * picture on a busy machine.
 *
 * @param {import('../types.js').PictureBrief} brief
 * @param {{ seeds: number }} most
 * @returns {Promise<Worded>}
 */
export async function drawLayered(brief, { seeds }) {
  const tries = Math.min(seeds, Math.floor(WIRES_OF_ALL_TRIES / Math.max(1, brief.edges.length)))
  let best = await attempt(brief, 1)
  for (let seed = 2; seed <= tries; seed += 1) {
    const next = await attempt(brief, seed)
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
