import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useCallback, useRef, useState, type KeyboardEvent } from 'react'
import { useNavigate } from 'react-router'
import { useKey } from '../../shared/keys/useKey'
import { find } from '../../shared/api/find'

const FOLDER: Record<string, string> = {
  unit: 'units',
  job: 'jobs',
  circuit: 'circuits',
  battery: 'batteries',
  part: 'parts',
}

const pathOf = (hit: { kind: string; id: string }) => `/${FOLDER[hit.kind] ?? 'units'}/${hit.id}`

/** Type a unit number, a name, a battery tag or a job number, press Enter, be there. "/" jumps into it from anywhere. */
export function FindBox() {
  const [text, setText] = useState('')
  const [chosen, setChosen] = useState(0)
  const box = useRef<HTMLInputElement>(null)
  const navigate = useNavigate()
  const queries = useQueryClient()
  const hits = useQuery(find(text)).data?.found ?? []
  const open = text.trim() !== ''
  useKey(
    '/',
    useCallback(() => box.current?.focus(), []),
  )

  const go = (hit: { kind: string; id: string } | undefined) => {
    if (!hit) return
    setText('')
    box.current?.blur()
    void navigate(pathOf(hit))
  }
  // Enter may come before the list: ask for what stands in the box now.
  const goFirst = async () => {
    const fresh = await queries.query(find(text))
    go(fresh.found[Math.min(chosen, fresh.found.length - 1)])
  }
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'ArrowDown') setChosen((chosen + 1) % Math.max(hits.length, 1))
    else if (event.key === 'ArrowUp') setChosen((chosen + hits.length - 1) % Math.max(hits.length, 1))
    else if (event.key === 'Enter' && open) void goFirst()
    else if (event.key === 'Escape') setText('')
    else return
    event.preventDefault()
  }

  return (
    <div className="relative w-full">
      <input
        ref={box}
        type="search"
        role="combobox"
        aria-label="Find a unit, battery or job"
        aria-expanded={open}
        aria-controls="find-list"
        aria-activedescendant={open && hits.length > 0 ? `find-${chosen}` : undefined}
        placeholder="Find: unit, battery, job, pin or wire   /"
        value={text}
        onChange={(event) => {
          setText(event.target.value)
          setChosen(0)
        }}
        onKeyDown={onKeyDown}
      />
      {open && (
        <div className="absolute inset-x-0 top-full z-10 border border-quiet bg-ground">
          <div id="find-list" role="listbox" aria-label="Found">
            {hits.map((hit, index) => (
              <div
                key={hit.id + hit.label}
                id={`find-${index}`}
                role="option"
                tabIndex={-1}
                aria-selected={index === chosen}
                className={`cursor-pointer px-3 py-2 ${index === chosen ? 'bg-hair/60' : ''}`}
                onPointerDown={(event) => {
                  event.preventDefault()
                  go(hit)
                }}
              >
                <span className="font-label font-bold">{hit.label}</span>{' '}
                <span className="text-quiet">{hit.detail}</span>
              </div>
            ))}
          </div>
          {hits.length === 0 && <p className="px-3 py-2 text-quiet">Nothing by that name or number.</p>}
        </div>
      )}
    </div>
  )
}
