import { Suspense, useState } from 'react'
import { Button } from '../shared/ui/Button'
import { Waiting } from '../shared/ui/Waiting'
import { Leave } from './Leave'
import { page } from './page'
import { switchTheme } from './theme'

const account = () => import('../features/account')
const OpenSessions = page(account, 'OpenSessions')
const PasswordForm = page(account, 'PasswordForm')

/** What is one's own: light, password, the way out. */
export function You({ person }: { person: number }) {
  const [password, setPassword] = useState(false)
  return (
    <div className="flex flex-col items-stretch gap-3">
      <Button onClick={switchTheme}>Yard or cab light</Button>
      <Button
        aria-expanded={password}
        onClick={() => {
          setPassword(!password)
        }}
      >
        Change your password
      </Button>
      <Suspense>{password && <PasswordForm />}</Suspense>
      <Leave person={person} />
      {/* Its room is kept: what a thumb is on its way to must not move. */}
      <div className="min-h-36">
        <Suspense fallback={<Waiting what="where you are signed in" />}>
          <OpenSessions />
        </Suspense>
      </div>
    </div>
  )
}
