import { useState, type ReactNode } from 'react'
import type { TestCard } from '../api/types'
import type { HttpError } from '../api/http'
import { AskedBack } from '../ui/AskedBack'
import { ErrorNote } from '../ui/ErrorNote'
import { answered } from './answered'
import { Conditions } from './Conditions'
import { withTogether, type PadDraft } from './pad'
import { SameCrank } from './SameCrank'
import { TakenWith } from './TakenWith'
import { ValueEntry } from './ValueEntry'

interface Props {
  test: TestCard
  /** Read in the same act. */
  beside: TestCard[]
  draft: PadDraft
  error: HttpError | null
  onDraft: (next: PadDraft) => void
  /** What was asked is answered: it goes out again at once. */
  onAnswered: (next: PadDraft) => void
  /** State and instrument, where they are chosen otherwise than by the test. */
  taken?: ReactNode
  /** What stands between the conditions and what was refused. */
  children?: ReactNode
}

/** The digits for gloves write where one was last. */
function digitsOf(key: string, draft: PadDraft, keep: (next: PadDraft) => void) {
  if (key === '') return undefined
  return {
    text: draft.together[key]?.text ?? '',
    onText: (text: string) => {
      keep(withTogether(draft, key, { text }))
    },
  }
}

/** What a pad asks for: the value, what is read with it, how it was taken, its conditions; and what was asked back. */
export function PadFields({ test, beside, draft, error, onDraft, onAnswered, taken, children }: Props) {
  const [writing, setWriting] = useState('')
  const question = error?.question
  const fieldError = question ? undefined : error?.fields.value_text?.[0]
  return (
    <>
      <ValueEntry
        test={test}
        draft={draft}
        error={fieldError}
        onDraft={onDraft}
        onWriting={() => {
          setWriting('')
        }}
        digits={digitsOf(writing, draft, onDraft)}
        beside={
          <SameCrank
            tests={beside}
            draft={draft}
            errors={question ? {} : (error?.fields ?? {})}
            onWriting={setWriting}
            onDraft={onDraft}
          />
        }
      />
      {taken ?? <TakenWith test={test} draft={draft} onDraft={onDraft} />}
      <Conditions
        conditions={test.conditions}
        said={draft.said}
        onSaid={(said) => {
          onDraft({ ...draft, said })
        }}
      />
      {children}
      {question ? (
        <AskedBack
          question={question}
          onAnswer={(value) => {
            onAnswered(answered(draft, question, value))
          }}
        />
      ) : (
        !fieldError && <ErrorNote error={error} />
      )}
    </>
  )
}
