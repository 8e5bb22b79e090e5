import { useCallback, useRef, useState, type ReactNode } from 'react'
import { NavLink, useNavigate } from 'react-router'
import { FindBox } from '../features/find'
import type { Person } from '../shared/api/types'
import { useArrival } from '../shared/page/useArrival'
import { Button } from '../shared/ui/Button'
import { Sheet } from '../shared/ui/Sheet'
import { useKey } from '../shared/keys/useKey'
import { KeyList } from './KeyList'
import { Leave } from './Leave'
import { Outbox } from './Outbox'
import { switchTheme } from './theme'
import { You } from './You'

const WORDS = [
  { to: '/', label: 'Today' },
  { to: '/units', label: 'Units' },
  { to: '/jobs', label: 'Jobs' },
  { to: '/circuits', label: 'Circuits' },
  { to: '/sums', label: 'Sums' },
]

const wordLook = ({ isActive }: { isActive: boolean }) =>
  `flex min-h-12 items-center px-4 text-lead no-underline desk:px-0 ${isActive ? 'font-bold underline! decoration-copper decoration-4 underline-offset-8' : ''}`

/** A narrow rail with the words of the work on a laptop, a bar at the bottom on a phone; find box on top. */
export function Frame({ person, children }: { person: Person; children: ReactNode }) {
  const [keys, setKeys] = useState(false)
  const [you, setYou] = useState(false)
  const navigate = useNavigate()
  const work = useRef<HTMLElement>(null)
  useArrival(work)
  useKey(
    '?',
    useCallback(() => {
      setKeys(true)
    }, []),
  )
  useKey(
    't',
    useCallback(() => void navigate('/'), [navigate]),
  )
  return (
    <div className="mx-auto min-h-dvh max-w-[88rem] desk:grid desk:grid-cols-[9rem_1fr]">
      <a href="#work" className="sr-only focus:not-sr-only focus:absolute focus:z-40 focus:bg-ground focus:p-3">
        To the work
      </a>
      <nav
        aria-label="Words of the work"
        className="rule-above fixed inset-x-0 bottom-0 z-10 flex justify-around bg-ground desk:sticky desk:top-0 desk:h-dvh desk:flex-col desk:justify-start desk:gap-1 desk:border-t-0 desk:border-r desk:border-hair desk:px-5 desk:py-6"
      >
        <p className="hidden pb-6 font-label text-lead font-bold desk:block">Wattomneum</p>
        {WORDS.map((word) => (
          <NavLink key={word.to} to={word.to} end={word.to === '/'} className={wordLook}>
            {word.label}
          </NavLink>
        ))}
        <NavLink to="/shelf" className={(state) => `${wordLook(state)} max-desk:hidden`}>
          Shelf
        </NavLink>
        <span className="hidden flex-1 desk:block" />
        <NavLink to="/house-rules" className={(state) => `${wordLook(state)} max-desk:hidden`}>
          House rules
        </NavLink>
        <div className="hidden flex-col items-start desk:flex">
          <Button look="quiet" onClick={switchTheme}>
            Yard or cab
          </Button>
          <Button
            look="quiet"

            onClick={() => {
              setKeys(true)
            }}
          >
            Keys ?
          </Button>
          <Button
            look="quiet"
            onClick={() => {
              setYou(true)
            }}
          >
            {person.name}, {person.role}
          </Button>
          <Leave person={person.id} look="quiet" />
        </div>
      </nav>
      <div className="min-w-0 px-4 pb-24 desk:px-10 desk:pb-10">
        <header className="flex items-center gap-4 py-4 desk:justify-end">
          <Outbox person={person.id} />
          <div className="w-full desk:max-w-md">
            <FindBox />
          </div>
          <Button
            look="quiet"
            className="min-w-12 desk:hidden"
            onClick={() => {
              setYou(true)
            }}
          >
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
        <You
          person={person.id}
          onGo={() => {
            setYou(false)
          }}
        />
      </Sheet>
    </div>
  )
}
