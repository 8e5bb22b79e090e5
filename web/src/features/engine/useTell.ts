import type { Engine, NewEntry } from '../../shared/api/engines'
import { tellEngine } from '../../shared/api/engines'
import { useWrite } from '../../shared/writes/useWrite'

/** Tells one thing of an engine; what is typed for it is kept until it is saved. */
export function useTell<T extends object>(engine: Engine, name: string, empty: T, onDone?: () => void) {
  const writing = useWrite<T, Engine>({
    name: `engine:${engine.unit.id}:${name}`,
    empty,
    ...(onDone ? { onSaved: onDone, onWaiting: onDone } : {}),
  })
  return {
    ...writing,
    tell: (entry: NewEntry, words: string) =>
      writing.write((id) => tellEngine(engine.unit.id, id, entry, `${engine.unit.number}: ${words}`)),
  }
}
