const KEY = 'single-keys'

/** Single keys may be turned off on this device: for who speaks to it, or rests a glove on the board. */
export const keysAreOn = (): boolean => localStorage.getItem(KEY) !== 'off'

export function turnKeys(on: boolean): void {
  localStorage.setItem(KEY, on ? 'on' : 'off')
}
