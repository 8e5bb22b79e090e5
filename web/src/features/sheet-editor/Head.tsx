import { Button } from '../../shared/ui/Button'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { TextField } from '../../shared/ui/TextField'
import { BothVersions } from '../../shared/writes/BothVersions'
import { useWrite } from '../../shared/writes/useWrite'
import { typeHead, type Draft } from '../../shared/api/drafts'

interface Typed {
  title: string
  reference: string
  note: string
  more: string
}

const LINES = [
  { key: 'title', label: 'Title', help: undefined },
  { key: 'reference', label: 'Volts are counted from', help: 'A pin of this sheet; BAT:- where nothing is said' },
  { key: 'note', label: 'Note', help: undefined },
] as const

const MORE = 'Key states, zones, places, loops, stops, links'
const FIELDS = [...LINES, { key: 'more', label: MORE }] as const

/** What stands at the head of the sheet, folded away while rows are typed. */
export function Head({ draft, onSaved }: { draft: Draft; onSaved: (draft: Draft) => void }) {
  const { head, more } = draft
  const empty: Typed = { title: head.title, reference: head.reference ?? '', note: head.note ?? '', more }
  const { value, change, write, error, isPending, isDrafted, base, rebase } = useWrite<Typed, Draft>({
    name: `draft-head:${draft.id}`,
    empty,
    version: draft.head_version,
    onSaved,
  })
  // Somebody else saved the head since it was begun here.
  const behind = isDrafted && base !== null && base < draft.head_version
  return (
    <details className="rule-below pb-2" open={behind || undefined}>
      <summary className="min-h-12 content-center font-label font-bold">
        Title, reference, key states, zones, links
        {draft.wrong.length > 0 && <span className="text-act"> ({draft.wrong.length} wrong)</span>}
      </summary>
      {draft.wrong.map((one) => (
        <p key={one.message} className="border-l-4 border-act pl-3 text-act">
          {one.message}. <span className="text-ink">{one.way_out}</span>
        </p>
      ))}
      <form
        className="flex flex-col gap-3 py-2"
        onSubmit={(event) => {
          event.preventDefault()
          void write((_, base) => typeHead(draft.id, { head_version: base ?? draft.head_version, ...value }))
        }}
      >
        {LINES.map(({ key, label, help }) => (
          <TextField
            key={key}
            label={label}
            help={help}
            value={value[key]}
            error={error?.fields[key]?.join(', ')}
            onText={(text) => {
              change({ ...value, [key]: text })
            }}
          />
        ))}
        <Field
          label={MORE}
          help="By their names, as in “zones: { roof: { label: Roof, exposure: [wet] } }”"
          error={error?.fields.more?.join(', ')}
        >
          {(wiring) => (
            <textarea
              rows={8}
              spellCheck={false}
              {...wiring}
              value={value.more}
              onChange={(event) => {
                change({ ...value, more: event.target.value })
              }}
            />
          )}
        </Field>
        {behind ? (
          <BothVersions
            differences={FIELDS.filter(({ key }) => value[key] !== empty[key]).map(({ key, label }) => ({
              field: key,
              label,
              mine: value[key],
              theirs: empty[key],
            }))}
            onChosen={(sides) => {
              const both = { ...value }
              for (const { key } of FIELDS) if (sides[key] === 'theirs') both[key] = empty[key]
              rebase(both, draft.head_version)
            }}
          />
        ) : (
          <ErrorNote error={error} />
        )}
        <Button type="submit" look="main" disabled={isPending || draft.ended || behind}>
          Save the head
        </Button>
      </form>
    </details>
  )
}
