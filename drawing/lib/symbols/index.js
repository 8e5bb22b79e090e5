import { battery } from './battery.js'
import { controlUnit, diode, plain, resistor, sensor } from './boxes.js'
import { connector } from './connector.js'
import { fuse } from './fuse.js'
import { ground, joint } from './joint.js'
import { link } from './link.js'
import { load } from './load.js'
import { relay } from './relay.js'
import { switchSymbol } from './switch.js'

/**
 * @typedef {object} ToDraw
 * @property {number} width
 * @property {number} height
 * @property {string | undefined} id of the part, "K1"
 * @property {string} kind
 * @property {string} title
 * @property {string} label
 * @property {string | undefined} top half of a plug that looks up
 * @property {import('../types.js').Pin[]} pins
 * @property {{ x: number, y: number }[]} ports relative to the part
 */

/**
 * Outline and ports of one kind of part, drawn by us. pitch: least distance of two wires; size: room for so many wires on its fuller side,
 * so many units of slots, and its title; draw: from where its pins came to lie.
 *
 * @typedef {object} Symbol
 * @property {number} pitch
 * @property {(most: number, slots: number, title: string) => { width: number, height: number }} size
 * @property {(part: ToDraw) => { shapes: import('../types.js').Shape[], words: import('../types.js').Word[] }} draw
 */

/** @type {Map<string, Symbol>} */
const symbols = new Map([
  ['battery', battery],
  ['fuse', fuse],
  ['fusible_link', fuse],
  ['isolator', switchSymbol],
  ['switch', switchSymbol],
  ['relay', relay],
  ['connector', connector],
  ['splice', joint],
  ['stud', joint],
  ['ground', ground],
  ['metal', ground],
  ['load', load],
  ['sensor', sensor],
  ['control_unit', controlUnit],
  ['resistor', resistor],
  ['diode', diode],
  ['link', link],
])

/** @param {string} kind @returns {Symbol} */
export const symbolOf = (kind) => symbols.get(kind) ?? plain
