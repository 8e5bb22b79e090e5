import { useState } from 'react'
import { Link } from 'react-router'
import { OpenSessions, PasswordForm } from '../features/sign-in'
import { Button } from '../shared/ui/Button'
import { Leave } from './Leave'
import { switchTheme } from './theme'

/** What is one's own: light, password, the way out; on a phone the house rules as well. */
export function You({ person, onGo }: { person: number; onGo: () => void }) {
  const [password, setPassword] = useState(false)
  return (
    <div className="flex flex-col items-stretch gap-3">
      <Button onClick={switchTheme}>Yard or cab light</Button>
      <Link
        to="/house-rules"
        className="inline-flex min-h-12 items-center justify-center border border-quiet px-4 font-label font-bold no-underline desk:hidden"
        onClick={onGo}
      >
        House rules
      </Link>
      <Button
        aria-expanded={password}
        onClick={() => {
          setPassword(!password)
        }}
      >
        Change your password
      </Button>
      {password && <PasswordForm />}
      <Leave person={person} />
      <OpenSessions />
    </div>
  )
}
