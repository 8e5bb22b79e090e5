import { useCallback, useMemo } from 'react'
import { useSearchParams } from 'react-router'

/** What is asked of the sheet; it stands in the address, so that a question can be sent on and the back key works. */
export interface Place {
  state: string | null
  part: string | null
  pin: string | null
  wire: string | null
  open: string | null
  ask: 'cause' | 'live' | 'conflicts' | null
}

const ASK = ['cause', 'live', 'conflicts'] as const

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
    }
  }, [params])

  const go = useCallback(
    (next: Partial<Place>) => {
      // One question at a time; the key state stays.
      const question = { part: null, pin: null, wire: null, open: null, ask: null, ...next }
      const merged =
        'state' in next && Object.keys(next).length === 1 ? { ...place, ...next } : { state: place.state, ...question }
      setParams(Object.fromEntries(Object.entries(merged).filter((pair): pair is [string, string] => pair[1] !== null)))
    },
    [place, setParams],
  )
  return [place, go]
}
