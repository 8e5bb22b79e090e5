import {
  useCombobox,
  type UseComboboxState,
  type UseComboboxStateChangeOptions,
  type UseComboboxStateChangeTypes,
} from 'downshift'
import { useState, type FocusEventHandler } from 'react'
import { matching, meant, type Choice } from './choices'

/** More are a list that nobody reads: one types on. */
const MOST_SHOWN = 50

interface Props {
  /** Of the box, beside what is typed and chosen. */
  wiring?: object
  label: string
  placeholder?: string | undefined
  choices: readonly Choice[]
  text: string
  onText: (text: string) => void
  onBlur?: FocusEventHandler<HTMLInputElement>
  disabled?: boolean
  className?: string
  /** Whether something that is not in the list may stand there as well. */
  free?: boolean
  /** Whether a button opens the list; in a table an arrow key does. */
  opener?: boolean
}

/**
 * A box to type into over a list that opens: a part of a word finds, capitals do not matter. Left with one in it that can be no other,
 * that one is taken, unless anything may stand there.
 */
export function ChoiceBox({ label, choices, text, onText, free = false, opener = true, ...rest }: Props) {
  // A list that is opened shows all there is, until something is typed.
  const [typing, setTyping] = useState(false)
  const [open, setOpen] = useState(false)
  const found = !open ? [] : typing && text.trim() !== '' ? matching(choices, text) : choices
  const items = found.slice(0, MOST_SHOWN)
  const types = useCombobox.stateChangeTypes
  const taken: UseComboboxStateChangeTypes[] = [types.ItemClick, types.InputKeyDownEnter, types.InputBlur]
  const settle = (
    state: UseComboboxState<Choice>,
    { type, changes }: UseComboboxStateChangeOptions<Choice>,
  ): Partial<UseComboboxState<Choice>> => {
    if (type !== types.InputBlur) return changes
    const inputValue = (free ? undefined : meant(choices, state.inputValue)?.label) ?? state.inputValue
    return { ...changes, selectedItem: state.selectedItem, inputValue }
  }
  const box = useCombobox<Choice>({
    items,
    isOpen: open,
    inputValue: text,
    selectedItem: choices.find((one) => one.label === text) ?? null,
    itemToString: (one) => one?.label ?? '',
    defaultHighlightedIndex: free ? -1 : 0,
    stateReducer: settle,
    // What is typed arrives by the box itself, so that the caret stays where it is. A list that changes changes nothing of what stands there.
    onInputValueChange: ({ type, inputValue }) => {
      if (taken.includes(type) && inputValue !== text) onText(inputValue)
    },
    onIsOpenChange: ({ type, isOpen }) => {
      setOpen(isOpen)
      if (isOpen && type !== types.InputChange) setTyping(false)
    },
  })
  return (
    <div className="relative">
      <input
        {...box.getInputProps({
          ...rest.wiring,
          'aria-labelledby': undefined,
          placeholder: rest.placeholder,
          disabled: rest.disabled,
          autoComplete: 'off',
          autoCapitalize: 'off',
          className: `w-full ${opener ? 'pr-12' : ''} ${rest.className ?? ''}`,
          onBlur: rest.onBlur,
          onChange: (event) => {
            setTyping(true)
            onText(event.currentTarget.value)
          },
        })}
      />
      {opener && (
        <button
          type="button"
          {...box.getToggleButtonProps({ 'aria-label': `All of ${label}` })}
          className="absolute inset-y-0 right-0 w-12 text-quiet"
        >
          <span aria-hidden>{open ? '▴' : '▾'}</span>
        </button>
      )}
      {/* Over the page, not in it: what is pressed next stays where it is when the list closes. */}
      <div
        className={`absolute top-full left-0 z-10 max-h-72 w-max max-w-[min(20rem,90vw)] min-w-full overflow-y-auto bg-ground ${open && (items.length > 0 || !free) ? 'border border-quiet' : ''}`}
      >
        <ul {...box.getMenuProps({ 'aria-label': label })}>
          {open &&
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
        {open && <Rest found={found.length} free={free} />}
      </div>
    </div>
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
