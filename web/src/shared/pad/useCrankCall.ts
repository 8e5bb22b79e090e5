import { useCallback, useEffect, useState } from 'react'

export type Phase = 'still' | 'counting' | 'cranking' | 'resting'

/** Seconds of each phase; fifteen of turning and two minutes of rest are common practice, a click or a stall is let go at three. */
const SECONDS = { counting: 5, cranking: 15, resting: 120 }
const AFTER = { counting: 'cranking', cranking: 'resting', resting: 'still' } as const
const TICK_MILLISECONDS = 200
export const LET_GO_AT = 3

/** By the clock, not by ticks: a tab that slept has lost none of its seconds. */
interface Call {
  phase: Phase
  ends: number
  now: number
}
const STILL: Call = { phase: 'still', ends: 0, now: 0 }
const into = (phase: Phase, from: number): Call =>
  phase === 'still' ? STILL : { phase, ends: from + SECONDS[phase] * 1000, now: from }

/** Whatever ended meanwhile ended when it was due. */
function at(now: number, call: Call): Call {
  if (call.phase === 'still') return STILL
  return now < call.ends ? { ...call, now } : at(now, into(AFTER[call.phase], call.ends))
}

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
  const [call, set] = useState<Call>(STILL)
  const { phase } = call
  const left = Math.ceil((call.ends - call.now) / 1000)
  useEffect(() => {
    if (phase === 'still') return
    const timer = setInterval(() => {
      set((known) => at(Date.now(), known))
    }, TICK_MILLISECONDS)
    return () => {
      clearInterval(timer)
    }
  }, [phase])
  useEffect(() => {
    const words = called(phase, left)
    if (spoken && words) say(words)
  }, [phase, left, spoken])
  const letGo = useCallback(() => {
    set((known) => (known.phase === 'cranking' ? into('resting', Date.now()) : STILL))
  }, [])
  return {
    phase,
    left,
    turned: phase === 'cranking' ? SECONDS.cranking - left : 0,
    begin: () => {
      set(into('counting', Date.now()))
    },
    letGo,
  }
}
