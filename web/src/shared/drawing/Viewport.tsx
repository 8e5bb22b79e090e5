import { select } from 'd3-selection'
import { zoom, zoomIdentity, zoomTransform, type ZoomBehavior } from 'd3-zoom'
import { useEffect, useImperativeHandle, useRef, type KeyboardEvent, type ReactNode, type Ref } from 'react'
import { Button } from '../ui/Button'
import { useHeld } from './useHeld'
import { useWholeScreen } from './useWholeScreen'

export interface View {
  /** Brings a place of the drawing into the middle, near enough to be read. */
  centre: (x: number, y: number) => void
}

interface Props {
  width: number
  height: number
  /** A place that is in sight to begin with. */
  begin: { x: number; y: number }
  label: string
  describedBy: string
  view: Ref<View>
  onKeyDown: (event: KeyboardEvent) => void
  /** Stands at its lower left. */
  tools: ReactNode
  children: ReactNode
}

const CLOSEST = 4
/** The smallest letters of a sheet, 11.5 high, are 12 pixels then: to begin with, and wherever something is looked for. */
const READABLE = 1.05
const MARGIN = 40

/** A window on a drawing: dragged and pinched, wheeled along, with buttons for gloves. It moves without anything being drawn anew. */
export function Viewport({ width, height, begin, label, describedBy, view, onKeyDown, tools, children }: Props) {
  const frame = useRef<SVGSVGElement>(null)
  const content = useRef<SVGGElement>(null)
  const behaviour = useRef<ZoomBehavior<SVGSVGElement, unknown> | null>(null)
  const { isWhole, turn } = useWholeScreen()
  const { held, mayMove } = useHeld(frame, isWhole)

  useEffect(() => {
    const svg = frame.current
    if (!svg) return
    const room = () => ({ width: svg.clientWidth || 1, height: svg.clientHeight || 1 })
    const least = () => Math.min(room().width / width, room().height / height, 1)
    const zooming = zoom<SVGSVGElement, unknown>()
      .extent(() => [
        [0, 0],
        [room().width, room().height],
      ])
      .scaleExtent([least() * 0.9, CLOSEST])
      .translateExtent([
        [-MARGIN, -MARGIN],
        [width + MARGIN, height + MARGIN],
      ])
      .filter((event: Event) => (event instanceof WheelEvent ? event.ctrlKey || event.metaKey : mayMove(event)))
      .on('zoom', ({ transform }: { transform: { toString: () => string } }) => {
        content.current?.setAttribute('transform', transform.toString())
      })
    behaviour.current = zooming
    const selected = select(svg).call(zooming).on('dblclick.zoom', null)
    const spare = room().width - width * READABLE
    const left = spare > 0 ? spare / 2 : Math.min(0, Math.max(spare, room().width / 2 - begin.x * READABLE))
    const up = Math.min(0, MARGIN - begin.y * READABLE)
    selected.call((one) => {
      zooming.transform(one, zoomIdentity.translate(left, up).scale(READABLE))
    })
    // The wheel alone moves along the sheet; at its end the page goes on.
    const wheel = (event: WheelEvent) => {
      if (event.ctrlKey || event.metaKey) return
      const before = content.current?.getAttribute('transform')
      const scale = zoomTransform(svg).k
      zooming.translateBy(selected, -event.deltaX / scale, -event.deltaY / scale)
      if (content.current?.getAttribute('transform') !== before) event.preventDefault()
    }
    svg.addEventListener('wheel', wheel, { passive: false })
    return () => {
      svg.removeEventListener('wheel', wheel)
      selected.on('.zoom', null)
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- where it begins does not move a drawing that is looked at
  }, [width, height, mayMove])

  const by = (factor: number) => {
    if (frame.current) behaviour.current?.scaleBy(select(frame.current), factor)
  }
  const whole = () => {
    const svg = frame.current
    if (!svg) return
    const scale = Math.min(svg.clientWidth / width, svg.clientHeight / height)
    behaviour.current?.transform(
      select(svg),
      zoomIdentity
        .translate((svg.clientWidth - width * scale) / 2, (svg.clientHeight - height * scale) / 2)
        .scale(scale),
    )
  }
  useImperativeHandle(view, () => ({
    centre: (x, y) => {
      const svg = frame.current
      if (!svg || !behaviour.current) return
      const selected = select(svg)
      if (zoomTransform(svg).k < READABLE) behaviour.current.scaleTo(selected, READABLE)
      behaviour.current.translateTo(selected, x, y)
    },
  }))

  return (
    <div className={isWhole ? 'fixed inset-0 z-30 bg-sheet' : 'relative'}>
      <svg
        ref={frame}
        // Arrow keys travel along wires: a reader's own would only tell what stands there.
        role="application"
        aria-label={label}
        aria-describedby={describedBy}
        tabIndex={0}
        onKeyDown={onKeyDown}
        className={`w-full bg-sheet font-label ${held ? 'touch-none' : 'touch-pan-y'} ${isWhole ? 'h-dvh' : 'h-[62dvh] desk:h-[calc(100dvh-8.5rem)]'}`}
      >
        <g ref={content}>{children}</g>
      </svg>
      {!held && (
        <p className="pointer-events-none absolute top-2 left-2 hidden bg-sheet px-2 text-quiet pointer-coarse:block">
          Tap the drawing to move it.
        </p>
      )}
      <div className="absolute bottom-2 left-2 bg-sheet print:hidden">{tools}</div>
      <div className="absolute right-2 bottom-2 flex gap-2 print:hidden [&>button]:bg-sheet">
        <Button
          aria-label="Smaller"
          onClick={() => {
            by(1 / 1.4)
          }}
        >
          −
        </Button>
        <Button
          aria-label="Larger"
          onClick={() => {
            by(1.4)
          }}
        >
          +
        </Button>
        <Button onClick={whole}>Whole</Button>
        <Button aria-pressed={isWhole} onClick={turn}>
          {isWhole ? 'Back to the page' : 'Whole screen'}
        </Button>
      </div>
    </div>
  )
}
