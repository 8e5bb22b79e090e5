import { kept, keepHere } from '../shared/device/setting'

const KEY = 'theme'
type Theme = 'light' | 'dark'

const chosen = (): Theme => {
  const chosenHere = kept(KEY)
  if (chosenHere === 'light' || chosenHere === 'dark') return chosenHere
  return window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light'
}

/** Bright yard or dark cab: as chosen on this device, else as the device says. */
export function applyTheme() {
  document.documentElement.dataset.theme = chosen()
}

export function switchTheme() {
  keepHere(KEY, chosen() === 'light' ? 'dark' : 'light')
  applyTheme()
}
