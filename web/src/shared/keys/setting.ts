import { kept, keepHere } from '../device/setting'

const KEY = 'single-keys'

/** Single keys may be turned off on this device: for who speaks to it, or rests a glove on the board. */
export const keysAreOn = (): boolean => kept(KEY) !== 'off'

export function turnKeys(on: boolean): void {
  keepHere(KEY, on ? 'on' : 'off')
}
