import { Button } from '../../../shared/ui/Button'
import { Field } from '../../../shared/ui/Field'
import { ThrowAway } from '../../../shared/writes/ThrowAway'
import { useWrite } from '../../../shared/writes/useWrite'
import { textOf } from '../../../shared/drafts/textOf'
import { bringInSheet } from '../../../shared/api/circuits'
import type { SheetLine } from '../../../shared/api/types'

interface Typed {
  content: string
  wires: { name: string; text: string } | null
}
const EMPTY: Typed = { content: '', wires: null }

/** A sheet as YAML, its wires in it or as a table beside it; every objection with its line, nothing changed until it is right. */
export function BringInSheet({ onDone }: { onDone: () => void }) {
  const bringIn = useWrite<Typed, SheetLine>({ name: 'sheet', empty: EMPTY, onSaved: onDone, onWaiting: onDone })
  const { content, wires } = bringIn.value
  const setContent = (text: string) => {
    bringIn.change({ content: text, wires })
  }
  const setWires = (next: Typed['wires']) => {
    bringIn.change({ content, wires: next })
  }
  const problems = bringIn.error?.problems ?? []
  return (
    <form
      className="flex flex-col gap-5"
      onSubmit={(event) => {
        event.preventDefault()
        void bringIn.write(() => bringInSheet(content, wires?.text ?? null))
      }}
    >
      <Field label="Sheet file" help="YAML as it comes out of any sheet here">
        {(wiring) => (
          <input
            {...wiring}
            type="file"
            accept=".yml,.yaml,text/plain"
            onChange={(event) => {
              const file = event.target.files?.[0]
              if (file) void textOf(file).then(setContent)
            }}
          />
        )}
      </Field>
      <Field label="Or its text">
        {(wiring) => (
          <textarea
            {...wiring}
            className="min-h-48 font-mono text-base"
            spellCheck={false}
            value={content}
            onChange={(event) => {
              setContent(event.target.value)
            }}
          />
        )}
      </Field>
      <Field label="Wire list, if it is a table of its own" help="CSV, comma or semicolon">
        {(wiring) => (
          <input
            {...wiring}
            type="file"
            accept=".csv,text/csv"
            onChange={(event) => {
              const file = event.target.files?.[0]
              if (file) void textOf(file).then((text) => { setWires({ name: file.name, text }) }) // prettier-ignore
            }}
          />
        )}
      </Field>
      {bringIn.error && (
        <div role="alert" className="border-l-4 border-act pl-4">
          <p className="font-semibold text-act">
            {problems.length > 0 ? 'Not taken. Nothing was changed.' : bringIn.error.message}
          </p>
          <ol>
            {problems.map((problem) => (
              <li key={`${problem.line}-${problem.column}-${problem.message}`} className="py-1">
                <strong className="font-semibold">
                  Line {problem.line}, column {problem.column}
                </strong>
                : {problem.message}. <span className="text-quiet">{problem.way_out}.</span>
              </li>
            ))}
          </ol>
        </div>
      )}
      <Button type="submit" look="main" disabled={content.trim() === '' || bringIn.isPending}>
        {bringIn.isPending ? 'Reading …' : 'Bring it in'}
      </Button>
      <ThrowAway isDrafted={bringIn.isDrafted} onThrowAway={bringIn.clear} />
    </form>
  )
}
