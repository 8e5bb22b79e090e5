import { useState, type ReactNode } from 'react'
import { kept, keepHere } from '../device/setting'
import { Button } from '../ui/Button'

const KEY = 'drawing.width'

/** A drawing and what is said of it: beside each other, or below each other where the drawing takes the whole width. */
export function Beside({
  drawn,
  drawing,
  children,
}: {
  /** Whether it is a drawing that stands there just now: a table has room enough. */
  drawn: boolean
  drawing: ReactNode
  children: ReactNode
}) {
  const [wide, setWide] = useState(kept(KEY) === 'whole')
  const whole = drawn && wide
  return (
    <div
      className={`grid gap-8 ${whole ? '' : 'desk:grid-cols-[minmax(0,1.45fr)_minmax(0,1fr)]'}`}
      data-width={whole ? 'whole' : 'column'}
    >
      <div className="min-w-0">
        {drawing}
        {drawn && (
          <Button
            look="inline"
            className="max-desk:hidden"
            onClick={() => {
              keepHere(KEY, wide ? 'column' : 'whole')
              setWide(!wide)
            }}
          >
            {wide ? 'Drawing beside the answers' : 'Drawing over the whole width'}
          </Button>
        )}
      </div>
      {children}
    </div>
  )
}
