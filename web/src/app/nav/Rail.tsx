import { NavLink } from 'react-router'
import type { Person } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Leave } from '../Leave'
import { switchTheme } from '../theme'
import { WORDS, wordLook } from './words'

/** On a laptop: the words of the work one below the other, what is one's own at the foot. */
export function Rail({ person, onKeys, onYou }: { person: Person; onKeys: () => void; onYou: () => void }) {
  return (
    <nav
      aria-label="Words of the work"
      className="sticky top-0 hidden h-dvh flex-col gap-1 overflow-y-auto border-r border-hair bg-ground px-5 py-6 desk:flex"
    >
      <p className="pb-6 font-label text-lead font-bold">Wattomneum</p>
      {WORDS.map((word) => (
        <NavLink key={word.to} to={word.to} end={word.to === '/'} className={(at) => wordLook(at.isActive)}>
          {word.label}
        </NavLink>
      ))}
      <span className="flex-1" />
      <div className="flex flex-col items-start">
        <Button look="quiet" onClick={switchTheme}>
          Yard or cab
        </Button>
        <Button look="quiet" onClick={onKeys}>
          Keys ?
        </Button>
        <Button look="quiet" onClick={onYou}>
          {person.name}, {person.role}
        </Button>
        <Leave person={person.id} look="quiet" />
      </div>
    </nav>
  )
}
