/** Where the work is, the most walked ways first: what does not fit on a phone stands under "More". */
export const WORDS = [
  { to: '/', label: 'Today' },
  { to: '/units', label: 'Units' },
  { to: '/jobs', label: 'Jobs' },
  { to: '/circuits', label: 'Circuits' },
  { to: '/sums', label: 'Sums' },
  { to: '/shelf', label: 'Shelf' },
  { to: '/house-rules', label: 'House rules' },
]

const HERE = 'font-bold underline! decoration-copper decoration-4 underline-offset-8'

export const wordLook = (isActive: boolean, room = '') =>
  `flex min-h-12 items-center text-lead no-underline ${room} ${isActive ? HERE : ''}`
