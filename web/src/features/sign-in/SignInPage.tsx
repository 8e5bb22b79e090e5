import { VerdictMark } from '../../shared/ui/VerdictMark'
import { SignIn } from './SignIn'

const LESSON = [
  { verdict: 'sound', words: 'closed ring: proved good under its load' },
  { verdict: 'watch', words: 'worn thin: serviceable, look again' },
  { verdict: 'act', words: 'a gap in the loop: mend it' },
  { verdict: 'unproven', words: 'dotted: says which reading is missing' },
] as const

/** The first page: what this is, how its marks read, and the way in. */
export function SignInPage({ onDone }: { onDone: () => void }) {
  return (
    <main className="mx-auto grid min-h-dvh max-w-5xl content-center gap-10 p-6 desk:grid-cols-2 desk:gap-20">
      <div>
        <h1 className="text-display leading-none">Wattomneum</h1>
        <p className="max-w-md pt-4 text-lead">
          Starting, charging and grounding of a fleet: what a reading is worth, what to test next, what is proved.
        </p>
        <ul className="flex flex-col gap-3 pt-8">
          {LESSON.map(({ verdict, words }) => (
            <li key={verdict} className="rule-below flex items-baseline gap-3 pb-3">
              <span className="w-28 flex-none">
                <VerdictMark verdict={verdict} />
              </span>
              <span>{words}</span>
            </li>
          ))}
        </ul>
      </div>
      <section aria-labelledby="sign-in" className="self-center">
        <h2 id="sign-in" className="pb-5 text-lead">
          Sign in
        </h2>
        <SignIn onDone={onDone} />
        <p className="pt-6 text-quiet">
          It does not replace the maker’s procedure, local codes, lockout rules or licensed practice.
        </p>
      </section>
    </main>
  )
}
