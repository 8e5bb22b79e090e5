import { useState } from 'react'
import { useRequestId } from '../../shared/drafts/useRequestId'
import { Button } from '../../shared/ui/Button'
import { Field } from '../../shared/ui/Field'
import { useBringInSheet } from './api'

const textOf = async (file: File): Promise<string> => {
  const bytes = await file.arrayBuffer()
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}

/** A sheet as YAML, its wires in it or as a table beside it; every objection with its line, nothing changed until it is right. */
export function BringInSheet({ onDone }: { onDone: () => void }) {
  const [content, setContent] = useState('')
  const [wires, setWires] = useState<{ name: string; text: string } | null>(null)
  const [requestId, renew] = useRequestId()
  const bringIn = useBringInSheet()
  const problems = bringIn.error?.problems ?? []
  return (
    <form
      className="flex flex-col gap-5"
      onSubmit={(event) => {
        event.preventDefault()
        bringIn.mutate({ requestId, content, wiresCsv: wires?.text ?? null }, { onSuccess: onDone, onError: renew })
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
    </form>
  )
}
