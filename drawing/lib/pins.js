/**
 * Ends of wires by the pin that they share.
 *
 * @param {(import('./types.js').BriefPort & { x: number, y: number })[]} ports
 * @returns {import('./types.js').Pin[]}
 */
export function pinsOf(ports) {
  /** @type {Map<string, typeof ports>} */
  const pins = new Map()
  for (const port of ports) {
    if (port.pin === undefined) continue
    const key = `${port.side} ${port.pin}`
    pins.set(key, [...(pins.get(key) ?? []), port])
  }
  return [...pins.values()].map((some) => {
    const [first] = some
    const at = some.map((port) => port.x)
    const [from, to] = [Math.min(...at), Math.max(...at)]
    return {
      pin: first?.pin ?? '',
      name: first?.name ?? '',
      side: first?.side ?? 'top',
      x: (from + to) / 2,
      from,
      to,
      y: first?.y ?? 0,
    }
  })
}
