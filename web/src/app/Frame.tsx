import { useCallback, useRef, useState, type ReactNode } from 'react'
import { useNavigate } from 'react-router'
import { FindBox } from '../features/find'
import type { Person } from '../shared/api/types'
import { useArrival } from '../shared/page/useArrival'
import { Button } from '../shared/ui/Button'
import { Sheet } from '../shared/ui/Sheet'
import { useKey } from '../shared/keys/useKey'
import { KeyList } from './KeyList'
import { Bar } from './nav/Bar'
import { Rail } from './nav/Rail'
import { Outbox } from './Outbox'
import { You } from './You'

/** A narrow rail with the words of the work on a laptop, a bar at the bottom on a phone; find box on top. */
export function Frame({ person, children }: { person: Person; children: ReactNode }) {
  const [keys, setKeys] = useState(false)
  const [you, setYou] = useState(false)
  const navigate = useNavigate()
  const work = useRef<HTMLElement>(null)
  useArrival(work)
  const openKeys = useCallback(() => {
    setKeys(true)
  }, [])
  const openYou = () => {
    setYou(true)
  }
  useKey('?', openKeys)
  useKey(
    't',
    useCallback(() => void navigate('/'), [navigate]),
  )
  return (
    <div className="mx-auto min-h-dvh max-w-[88rem] desk:grid desk:grid-cols-[9rem_1fr]">
      <a href="#work" className="sr-only focus:not-sr-only focus:absolute focus:z-40 focus:bg-ground focus:p-3">
        To the work
      </a>
      <Rail person={person} onKeys={openKeys} onYou={openYou} />
      <Bar onKeys={openKeys} />
      <div className="min-w-0 px-4 pb-24 desk:px-10 desk:pb-10">
        <header className="flex items-center gap-4 py-4 desk:justify-end">
          <Outbox person={person.id} />
          <div className="w-full desk:max-w-md">
            <FindBox />
          </div>
          <Button look="quiet" className="min-w-12 desk:hidden" onClick={openYou}>
            You
          </Button>
        </header>
        <main id="work" ref={work} tabIndex={-1} className="outline-none">
          {children}
        </main>
      </div>
      <Sheet
        title="Keys"
        open={keys}
        onClose={() => {
          setKeys(false)
        }}
      >
        <KeyList />
      </Sheet>
      <Sheet
        title={`${person.name}, ${person.role}`}
        open={you}
        onClose={() => {
          setYou(false)
        }}
      >
        <You person={person.id} />
      </Sheet>
    </div>
  )
}
