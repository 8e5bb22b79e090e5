/** What this device took no more holds as long as the page does. */
const here = new Map<string, string>()

/** A setting of this device, or something typed that is never sent. */
export function kept(key: string): string | null {
  try {
    return here.get(key) ?? localStorage.getItem(key)
  } catch {
    return here.get(key) ?? null
  }
}

/** Works on a device that is full or keeps nothing at all. */
export function keepHere(key: string, value: string): void {
  here.set(key, value)
  try {
    localStorage.setItem(key, value)
    here.delete(key)
  } catch {
    // Full, or not allowed: it holds here.
  }
}
