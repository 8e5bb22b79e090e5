import { Button } from './Button'

/** Whether frost can stand there. */
export const mayBeBelowZero = (unit: string | null | undefined) => unit === '°C'

/** Turns the sign of a figure: the figure pad of some phones has no minus. */
export function TurnSign({ of, text, onText }: { of: string; text: string; onText: (next: string) => void }) {
  return (
    <Button
      className="min-w-12 flex-none px-0!"
      aria-label={`${of}: above or below zero`}
      onClick={() => {
        onText(/^\s*[-−]/.test(text) ? text.replace(/^\s*[-−]\s*/, '') : `-${text.trim()}`)
      }}
    >
      ±
    </Button>
  )
}
