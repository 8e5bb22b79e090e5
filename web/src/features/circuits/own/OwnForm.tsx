import { useState } from 'react'
import { Button } from '../../../shared/ui/Button'
import { ErrorNote } from '../../../shared/ui/ErrorNote'
import { Field } from '../../../shared/ui/Field'
import { TextField } from '../../../shared/ui/TextField'
import { useWrite } from '../../../shared/writes/useWrite'
import { sayOtherwise, type ItemFact, type ItemFacts } from '../../../shared/api/ownFacts'
import { saidOf } from './facts'

const EMPTY = { says: '', why: '' }

function Says({ fact, says, onSays }: { fact: ItemFact; says: string; onSays: (says: string) => void }) {
  const label = fact.unit ? `It is, in ${fact.unit}` : 'It is'
  if (fact.type !== 'choice')
    return (
      <TextField
        label={label}
        inputMode={fact.type === 'number' ? 'decimal' : 'text'}
        autoComplete="off"
        value={says}
        onText={onSays}
      />
    )
  return (
    <Field label={label}>
      {(wiring) => (
        <select
          {...wiring}
          value={says}
          onChange={(event) => {
            onSays(event.target.value)
          }}
        >
          <option value="">Choose</option>
          {fact.choices.map((choice) => (
            <option key={choice}>{choice}</option>
          ))}
        </select>
      )}
    </Field>
  )
}

/** One fact as it is on this machine, or as the sheet again; each with a word why. */
export function OwnForm({
  sheetId,
  unit,
  item,
  onDone,
}: {
  sheetId: string
  unit: string
  item: ItemFacts
  onDone: () => void
}) {
  const [field, setField] = useState(item.facts.find((fact) => fact.own)?.field ?? item.facts[0]?.field)
  const fact = item.facts.find((one) => one.field === field)
  const { value, change, write, error, isPending } = useWrite<typeof EMPTY, ItemFacts>({
    name: `own-fact:${sheetId}:${item.item}`,
    empty: EMPTY,
    onSaved: onDone,
    onWaiting: onDone,
  })
  if (!fact) return null
  const keep = (says: string | null) =>
    write(() =>
      sayOtherwise(
        sheetId,
        { item: item.item, field: fact.field, was: fact.says, says, why: value.why },
        `${item.name} on ${unit}: ${fact.label}`,
      ),
    )
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(event) => {
        event.preventDefault()
        void keep(value.says)
      }}
    >
      <Field label="What is otherwise">
        {(wiring) => (
          <select
            {...wiring}
            value={field}
            onChange={(event) => {
              setField(event.target.value)
              change({ ...value, says: '' })
            }}
          >
            {item.facts.map((one) => (
              <option key={one.field} value={one.field}>
                {one.label}
                {one.says !== null && `: ${saidOf(one)}`}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Says
        fact={fact}
        says={value.says}
        onSays={(says) => {
          change({ ...value, says })
        }}
      />
      <TextField
        label="Why"
        help="How it was seen, or why it was made so"
        value={value.why}
        error={error?.fields.why?.join(', ')}
        onText={(why) => {
          change({ ...value, why })
        }}
      />
      <ErrorNote error={error} />
      <div className="flex flex-wrap gap-3">
        <Button type="submit" look="main" disabled={isPending || value.says === '' || value.why === ''}>
          So it is on {unit}
        </Button>
        {fact.own && (
          <Button disabled={isPending || value.why === ''} onClick={() => void keep(null)}>
            As the sheet again: {saidOf(fact, fact.sheet_says)}
          </Button>
        )}
      </div>
    </form>
  )
}
