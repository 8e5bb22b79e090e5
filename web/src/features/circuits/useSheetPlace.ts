import { useCallback, useMemo } from 'react'
import { useSearchParams } from 'react-router'

/** What is asked of the sheet; it stands in the address, so that a question can be sent on and the back key works. */
export interface Place {
  state: string | null
  part: string | null
  pin: string | null
  wire: string | null
  open: string | null
  ask: (typeof ASK)[number] | null
  /** Another version of the sheet that it is held against. */
  since: string | null
  /** How the sheet is read: as a drawing, or as one of its tables. */
  view: View | null
  /** What the wires of the drawing show: their own colours, or what they are at. */
  show: 'stands' | null
}

/** All sheets of a unit as one are read as a table at first: each has a drawing of its own. */
export const readAs = (place: Place, whole: boolean): View => place.view ?? (whole ? 'pins' : 'drawing')

const VIEWS = ['drawing', 'pins', 'wires'] as const
type View = (typeof VIEWS)[number]

const STAYS = ['state', 'view', 'show']
const NO_QUESTION = { part: null, pin: null, wire: null, open: null, ask: null, since: null }
const ASK = ['cause', 'live', 'conflicts', 'versions', 'own', 'stops'] as const

export function useSheetPlace(): [Place, (next: Partial<Place>) => void] {
  const [params, setParams] = useSearchParams()
  const place = useMemo<Place>(() => {
    const ask = ASK.find((one) => one === params.get('ask')) ?? null
    return {
      state: params.get('state'),
      part: params.get('part'),
      pin: params.get('pin'),
      wire: params.get('wire'),
      open: params.get('open'),
      ask,
      since: params.get('since'),
      view: VIEWS.find((one) => one === params.get('view')) ?? null,
      show: params.get('show') === 'stands' ? 'stands' : null,
    }
  }, [params])

  const go = useCallback(
    (next: Partial<Place>) => {
      // One question at a time; key state and how the sheet is read stay.
      const asks = Object.keys(next).some((key) => !STAYS.includes(key))
      const merged = { ...place, ...(asks ? NO_QUESTION : {}), ...next }
      setParams(Object.fromEntries(Object.entries(merged).filter((pair): pair is [string, string] => pair[1] !== null)))
    },
    [place, setParams],
  )
  return [place, go]
}
