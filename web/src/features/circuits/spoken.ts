import type { CircuitItem } from '../../shared/api/circuits'

/** Volts as a meter shows them; what nothing leads to has none. */
export function spokenVolt(volt: number | null): string {
  if (volt === null) return 'floating'
  const size = Math.abs(volt)
  if (size < 0.0005) return '0.00 V'
  if (size < 0.1) return `${(volt * 1000).toFixed(size < 0.01 ? 1 : 0)} mV`
  return `${volt.toFixed(2)} V`
}

export function spokenAmpere(ampere: number | null): string {
  if (ampere === null) return ''
  const size = Math.abs(ampere)
  if (size < 0.0005) return '0 A'
  if (size < 1) return `${(size * 1000).toFixed(size < 0.01 ? 1 : 0)} mA`
  return `${size.toFixed(size < 20 ? 1 : 0)} A`
}

/** A component by its number and its name, a wire and a part of a component by what it is called. */
export function spokenItem({ key, label, kind }: CircuitItem): string {
  return kind === 'wire' || label.startsWith(key.split(' ', 1)[0] ?? key) ? label : `${key} ${label}`
}
