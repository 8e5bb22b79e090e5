import type { ReactNode } from 'react'
import type { TestCard } from '../api/types'

interface Props {
  test: TestCard
  position: string | null
  children?: ReactNode
}

/** What is read, between which points, and how. */
export function HowTaken({ test, position, children }: Props) {
  return (
    <div>
      <h3 className="text-lead">
        {test.label}
        {position && `, battery ${position}`}
      </h3>
      <p>
        {test.from && test.to && (
          <strong className="font-semibold">
            {test.from} to {test.to}.{' '}
          </strong>
        )}
        {test.how}
        {children}
      </p>
    </div>
  )
}
