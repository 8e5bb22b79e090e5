import type { ReactNode } from 'react'
import type { components } from '../../shared/api/schema'

/** The one filled surface: what to do next on the engine, its cautions before it, what each answer means, and the answers. */
export function NextThing({
  words,
  cautions,
  expect = [],
  kind,
  children,
}: {
  words: string
  cautions: components['schemas']['Caution'][]
  expect?: string[]
  kind: string
  children?: ReactNode
}) {
  return (
    <section
      aria-labelledby="engine-next"
      className="flex flex-col gap-2 bg-copper p-5 text-on-copper"
      data-step={kind}
    >
      <h2 id="engine-next" className="text-reading leading-tight">
        {words}
      </h2>
      {cautions.map((caution) => (
        <p key={caution.id} className="font-semibold">
          {caution.text}
        </p>
      ))}
      {expect.length > 0 && (
        <ul>
          {expect.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
      {children && <div className="flex flex-wrap items-end gap-3 pt-2">{children}</div>}
    </section>
  )
}
