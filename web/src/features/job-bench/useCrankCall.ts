import { useEffect, useState } from 'react'

export type Phase = 'still' | 'counting' | 'cranking' | 'resting'

/** Seconds of each phase; fifteen of turning and two minutes of rest are common practice, a click or a stall is let go at three. */
const SECONDS = { counting: 5, cranking: 15, resting: 120 }
const AFTER: Record<Exclude<Phase, 'still'>, Phase> = { counting: 'cranking', cranking: 'resting', resting: 'still' }
export const LET_GO_AT = 3

const say = (words: string) => {
  // Not every browser can speak.
  if (!('speechSynthesis' in window)) return
  window.speechSynthesis.cancel()
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(words))
}

/** What is called out at this second. */
function called(phase: Phase, left: number) {
  if (phase === 'counting') return String(left)
  if (phase === 'cranking' && left === SECONDS.cranking) return 'Crank'
  return phase === 'resting' && left === SECONDS.resting ? 'Let go' : null
}

/** A countdown for the one at the key: down to the crank, as long as it may turn, and the rest after it. */
export function useCrankCall(spoken: boolean) {
  const [{ phase, left }, set] = useState<{ phase: Phase; left: number }>({ phase: 'still', left: 0 })
  useEffect(() => {
    if (phase === 'still') return
    const words = called(phase, left)
    if (spoken && words) say(words)
    const timer = setTimeout(() => {
      const next = AFTER[phase]
      set(left > 1 ? { phase, left: left - 1 } : { phase: next, left: next === 'still' ? 0 : SECONDS[next] })
    }, 1000)
    return () => {
      clearTimeout(timer)
    }
  }, [phase, left, spoken])
  return {
    phase,
    left,
    turned: phase === 'cranking' ? SECONDS.cranking - left : 0,
    begin: () => {
      set({ phase: 'counting', left: SECONDS.counting })
    },
    letGo: () => {
      set(phase === 'cranking' ? { phase: 'resting', left: SECONDS.resting } : { phase: 'still', left: 0 })
    },
  }
}
