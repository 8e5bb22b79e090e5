import { useNavigate } from 'react-router'
import { Button } from '../../../shared/ui/Button'
import { ErrorNote } from '../../../shared/ui/ErrorNote'
import { Segments } from '../../../shared/ui/Segments'
import { TextField } from '../../../shared/ui/TextField'
import { useWrite } from '../../../shared/writes/useWrite'
import { beginDraft, type Draft } from '../../../shared/api/drafts'

const VOLTS = [
  { key: '12', label: '12 V' },
  { key: '24', label: '24 V' },
] as const
const EMPTY = { key: '', title: '', volts: '24' as '12' | '24' }

/** A sheet to write: from nothing, or as the copy of one for another make. */
export function BeginDraft({ copyOf }: { copyOf: { version_id: string; title: string } | null }) {
  const navigate = useNavigate()
  const { value, change, write, error, isPending } = useWrite<typeof EMPTY, Draft>({
    name: `begin-draft:${copyOf?.version_id ?? 'new'}`,
    empty: EMPTY,
    onSaved: (reply) => void navigate(`/drafts/${reply.id}`),
  })
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(event) => {
        event.preventDefault()
        void write((id) =>
          beginDraft(
            {
              id,
              key: value.key || null,
              title: value.title || null,
              version_id: copyOf?.version_id ?? null,
              system_volt: copyOf ? null : Number(value.volts),
            },
            `Draft begun: ${value.title}`,
          ),
        )
      }}
    >
      <TextField
        label="Title"
        value={value.title}
        error={error?.fields.title?.join(', ')}
        onText={(title) => {
          change({ ...value, title })
        }}
      />
      <TextField
        label="Key"
        help="Small letters, digits and _, as in fuel_pump_harrow: other sheets lead to it by this name"
        autoCapitalize="off"
        value={value.key}
        error={error?.fields.key?.join(', ')}
        onText={(key) => {
          change({ ...value, key })
        }}
      />
      {!copyOf && (
        <Segments
          label="System"
          options={VOLTS}
          chosen={value.volts}
          onChoose={(volts) => {
            change({ ...value, volts })
          }}
        />
      )}
      <ErrorNote error={error} />
      <Button type="submit" look="main" disabled={isPending}>
        {copyOf ? `Begin a copy of ${copyOf.title}` : 'Begin the sheet'}
      </Button>
    </form>
  )
}
