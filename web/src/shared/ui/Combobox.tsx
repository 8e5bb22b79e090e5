import { useCombobox, type UseComboboxState, type UseComboboxStateChangeOptions } from 'downshift'
import { useState } from 'react'
import { matching, meant, type Choice } from './choices'
import { Field } from './Field'

/** More are a list that nobody reads: one types on. */
const MOST_SHOWN = 50

interface Props {
  label: string
  help?: string | undefined
  error?: string | undefined
  placeholder?: string
  choices: readonly Choice[]
  text: string
  onText: (text: string) => void
  /** Whether something that is not in the list may stand there as well. */
  free?: boolean
}

/**
 * A box to type into over a list that opens: a part of a word finds, capitals do not matter. Left with one in it that can be no other,
 * that one is taken.
 */
export function Combobox({ label, help, error, placeholder, choices, text, onText, free = false }: Props) {
  // A list that is opened shows all there is, until something is typed.
  const [typing, setTyping] = useState(false)
  const found = typing && text.trim() !== '' ? matching(choices, text) : [...choices]
  const items = found.slice(0, MOST_SHOWN)
  const types = useCombobox.stateChangeTypes
  const settle = (
    state: UseComboboxState<Choice>,
    { type, changes }: UseComboboxStateChangeOptions<Choice>,
  ): Partial<UseComboboxState<Choice>> => {
    if (type !== types.InputBlur) return changes
    const inputValue = meant(choices, state.inputValue)?.label ?? state.inputValue
    return { ...changes, selectedItem: state.selectedItem, inputValue }
  }
  const box = useCombobox<Choice>({
    items,
    inputValue: text,
    selectedItem: choices.find((one) => one.label === text) ?? null,
    itemToString: (one) => one?.label ?? '',
    defaultHighlightedIndex: free ? -1 : 0,
    stateReducer: settle,
    // What is typed arrives by the box itself, so that the caret stays where it is.
    onInputValueChange: ({ type, inputValue }) => {
      if (type !== types.InputChange) onText(inputValue)
    },
    onIsOpenChange: ({ type, isOpen }) => {
      if (isOpen && type !== types.InputChange) setTyping(false)
    },
  })
  return (
    <Field label={label} help={help} error={error}>
      {(wiring) => (
        <div className="relative">
          <input
            {...box.getInputProps({
              ...wiring,
              'aria-labelledby': undefined,
              placeholder,
              autoComplete: 'off',
              className: 'w-full pr-12',
              onChange: (event) => {
                setTyping(true)
                onText(event.currentTarget.value)
              },
            })}
          />
          <button
            type="button"
            {...box.getToggleButtonProps({ 'aria-label': `All of ${label}` })}
            className="absolute inset-y-0 right-0 w-12 text-quiet"
          >
            <span aria-hidden>{box.isOpen ? '▴' : '▾'}</span>
          </button>
          {/* Over the page, not in it: what is pressed next stays where it is when the list closes. */}
          <div
            className={`absolute inset-x-0 top-full z-10 max-h-72 overflow-y-auto bg-ground ${box.isOpen && (items.length > 0 || !free) ? 'border border-quiet' : ''}`}
          >
            <ul {...box.getMenuProps({ 'aria-label': label })}>
              {box.isOpen &&
                items.map((one, index) => (
                  <li
                    key={one.label}
                    {...box.getItemProps({ item: one, index })}
                    className={`flex min-h-12 cursor-pointer flex-wrap items-center gap-x-3 px-3 dense:min-h-9 ${index === box.highlightedIndex ? 'bg-hair/60' : ''}`}
                  >
                    <span>{one.label}</span>
                    {one.detail && <span className="text-quiet">{one.detail}</span>}
                  </li>
                ))}
            </ul>
            {box.isOpen && <Rest found={found.length} free={free} />}
          </div>
        </div>
      )}
    </Field>
  )
}

/** What the list does not show. */
function Rest({ found, free }: { found: number; free: boolean }) {
  if (found > MOST_SHOWN)
    return (
      <p role="status" className="px-3 py-2 text-quiet">
        {found - MOST_SHOWN} more: type a part of the name.
      </p>
    )
  if (found > 0 || free) return null
  return (
    <p role="status" className="px-3 py-2 text-quiet">
      Nothing here by that name.
    </p>
  )
}
