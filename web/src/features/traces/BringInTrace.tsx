import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { HttpError } from '../../shared/api/http'
import { refresh } from '../../shared/api/refresh'
import { bringInTrace, type Said, type Traces } from '../../shared/api/traces'
import { AskedBack } from '../../shared/ui/AskedBack'
import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { TextField } from '../../shared/ui/TextField'

/** A file from scope or logger; what it does not say itself is asked for beside it. */
export function BringInTrace({ data, onKept }: { data: Traces; onKept: (id: string) => void }) {
  const queries = useQueryClient()
  const [file, setFile] = useState<File | null>(null)
  const [said, setSaid] = useState<Said>({ cylinders: String(data.cylinders ?? ''), celsius: '', factor: null })
  const [id, setId] = useState<string>(() => crypto.randomUUID())
  const [error, setError] = useState<HttpError | null>(null)
  const [isPending, setPending] = useState(false)

  const send = async (meant: Said) => {
    if (!file || isPending) return
    setPending(true)
    setError(null)
    try {
      const kept = await bringInTrace(data.unit.id, file, meant, id)
      setFile(null)
      setId(crypto.randomUUID())
      await refresh(queries, `/api/units/${data.unit.id}`)
      onKept(kept.id)
    } catch (caught) {
      if (!(caught instanceof HttpError)) throw caught
      // Without an answer it may have been kept: the same trace goes out under the same id again.
      if (caught.status !== 0) setId(crypto.randomUUID())
      setError(caught)
    } finally {
      setPending(false)
    }
  }
  const question = error?.question
  const fields = error?.fields ?? {}
  return (
    <form
      aria-label="Bring in a trace"
      className="flex flex-col gap-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void send(said)
      }}
    >
      <Field
        label="Trace file"
        help="CSV of scope or logger: time, posts, current, named in the first line. Begin it two seconds before the key."
        error={question ? undefined : fields.trace?.[0]}
      >
        {(wiring) => (
          <input
            {...wiring}
            type="file"
            accept=".csv,.txt,.tsv,.gz,text/csv"
            onChange={(event) => {
              setFile(event.target.files?.[0] ?? null)
              setSaid({ ...said, factor: null })
              setError(null)
            }}
          />
        )}
      </Field>
      <div className="grid grid-cols-2 gap-4">
        <TextField
          label="Batteries and engine, °C"
          error={fields.celsius?.[0]}
          inputMode="text"
          value={said.celsius}
          onText={(text) => {
            setSaid({ ...said, celsius: text })
          }}
        />
        <TextField
          label="Cylinders"
          error={fields.cylinders?.[0]}
          inputMode="numeric"
          value={said.cylinders}
          onText={(text) => {
            setSaid({ ...said, cylinders: text })
          }}
        />
      </div>
      {question ? (
        <AskedBack
          question={question}
          onAnswer={(factor) => {
            const next = { ...said, factor }
            setSaid(next)
            void send(next)
          }}
        />
      ) : (
        !fields.trace && <ErrorNote error={error} />
      )}
      <Button type="submit" look="main" disabled={!file || isPending}>
        {isPending ? 'Reading it …' : 'Read the trace'}
      </Button>
    </form>
  )
}
