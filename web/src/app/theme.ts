const KEY = 'theme'
type Theme = 'light' | 'dark'

const chosen = (): Theme => {
  const kept = localStorage.getItem(KEY)
  if (kept === 'light' || kept === 'dark') return kept
  return window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light'
}

/** Bright yard or dark cab: as chosen on this device, else as the device says. */
export function applyTheme() {
  document.documentElement.dataset.theme = chosen()
}

export function switchTheme() {
  localStorage.setItem(KEY, chosen() === 'light' ? 'dark' : 'light')
  applyTheme()
}
