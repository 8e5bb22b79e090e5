import { Component, type ReactNode } from 'react'
import { Button } from '../ui/Button'

/** A page that breaks takes nothing else with it: the frame stays, what was typed is kept on the device. */
export class ErrorBoundary extends Component<{ children: ReactNode }, { broken: boolean }> {
  override state = { broken: false }

  static getDerivedStateFromError() {
    return { broken: true }
  }

  override render() {
    if (!this.state.broken) return this.props.children
    return (
      <div role="alert" className="flex flex-col items-start gap-3 py-8">
        <p className="text-lead">This page broke on our side. What you typed is kept on this device.</p>
        <Button
          onClick={() => {
            window.location.reload()
          }}
        >
          Load it again
        </Button>
      </div>
    )
  }
}
