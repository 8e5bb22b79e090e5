import type { ReactNode } from 'react'

export type Tab = 'next' | 'circuit' | 'known' | 'end'

/** Where a phone has room for one thing at a time: the card first, the rest a tab away. A laptop shows all of it. */
export function BenchTabs({
  tab,
  onTab,
  open,
  readings,
}: {
  tab: Tab
  onTab: (tab: Tab) => void
  open: boolean
  readings: number
}) {
  const tabs: [Tab, string][] = [
    ['next', open ? 'Next' : 'Done'],
    ['circuit', 'Circuit'],
    ['known', `Known ${readings}`],
    ...(open ? [['end', 'Mend, end'] satisfies [Tab, string]] : []),
  ]
  return (
    <div role="group" aria-label="Parts of this job" className="grid auto-cols-fr grid-flow-col desk:hidden">
      {tabs.map(([key, label]) => (
        <button
          key={key}
          type="button"
          aria-pressed={tab === key}
          className={`min-h-12 border-b-4 font-bold ${tab === key ? 'border-copper' : 'border-hair text-quiet'}`}
          onClick={() => {
            onTab(key)
          }}
        >
          {label}
        </button>
      ))}
    </div>
  )
}

/** One of them: on a phone only while its tab is pressed. */
export function Panel({ of, tab, children }: { of: Tab; tab: Tab; children: ReactNode }) {
  return <div className={`flex min-w-0 flex-col gap-6 ${of === tab ? '' : 'max-desk:hidden'}`}>{children}</div>
}
