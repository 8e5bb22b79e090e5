import { useRef, useState } from 'react'
import { NavLink, useLocation } from 'react-router'
import { Button } from '../../shared/ui/Button'
import { Sheet } from '../../shared/ui/Sheet'
import { switchTheme } from '../theme'
import { useFitting } from './useFitting'
import { WORDS, wordLook } from './words'

const ROOM = 'px-1.5'
/** More than these do not stand in a bar, however wide it is: a thumb aims at five. */
const MOST = 4

/** On a phone: as many words as fit at the bottom, the others a tap away. */
export function Bar({ onKeys }: { onKeys: () => void }) {
  const ruler = useRef<HTMLDivElement>(null)
  const fitting = Math.min(useFitting(ruler), MOST)
  const [more, setMore] = useState(false)
  const { pathname } = useLocation()
  const folded = WORDS.slice(fitting)
  const close = () => {
    setMore(false)
  }
  return (
    <nav aria-label="Words of the work" className="rule-above fixed inset-x-0 bottom-0 z-10 bg-ground desk:hidden">
      <div ref={ruler} aria-hidden className="invisible absolute inset-x-0 flex overflow-hidden whitespace-nowrap">
        {WORDS.slice(0, MOST).map((word) => (
          <span key={word.to} className={wordLook(true, ROOM)}>
            {word.label}
          </span>
        ))}
        <span className={wordLook(true, ROOM)}>More</span>
      </div>
      <div className="flex justify-around">
        {WORDS.slice(0, fitting).map((word) => (
          <NavLink key={word.to} to={word.to} end={word.to === '/'} className={(at) => wordLook(at.isActive, ROOM)}>
            {word.label}
          </NavLink>
        ))}
        <button
          type="button"
          aria-haspopup="dialog"
          className={wordLook(
            folded.some((word) => pathname.startsWith(word.to)),
            ROOM,
          )}
          onClick={() => {
            setMore(true)
          }}
        >
          More
        </button>
      </div>
      <Sheet title="More" open={more} onClose={close}>
        <div className="flex flex-col">
          {folded.map((word) => (
            <NavLink
              key={word.to}
              to={word.to}
              className={(at) => `rule-below ${wordLook(at.isActive)}`}
              onClick={close}
            >
              {word.label}
            </NavLink>
          ))}
          <div className="flex flex-wrap gap-x-6 pt-3">
            <Button
              look="quiet"
              onClick={() => {
                close()
                onKeys()
              }}
            >
              Keys
            </Button>
            <Button look="quiet" onClick={switchTheme}>
              Yard or cab light
            </Button>
          </div>
        </div>
      </Sheet>
    </nav>
  )
}
