import { select } from 'd3-selection'
import { zoom, zoomIdentity, zoomTransform, type ZoomBehavior } from 'd3-zoom'
import { useEffect, useImperativeHandle, useRef, type KeyboardEvent, type ReactNode, type Ref } from 'react'
import { Button } from '../ui/Button'

export interface View {
  /** Brings a place of the drawing into the middle, near enough to be read. */
  centre: (x: number, y: number) => void
}

interface Props {
  width: number
  height: number
  label: string
  describedBy: string
  view: Ref<View>
  onKeyDown: (event: KeyboardEvent) => void
  /** Stands at its lower left. */
  tools: ReactNode
  children: ReactNode
}

const CLOSEST = 4
/** At first no larger than on paper. */
const FIRST_MOST = 1.1
const READABLE = 0.9
const MARGIN = 40

/** A window on a drawing: dragged and pinched, wheeled along, with buttons for gloves. It moves without anything being drawn anew. */
export function Viewport({ width, height, label, describedBy, view, onKeyDown, tools, children }: Props) {
  const frame = useRef<SVGSVGElement>(null)
  const content = useRef<SVGGElement>(null)
  const behaviour = useRef<ZoomBehavior<SVGSVGElement, unknown> | null>(null)

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
      .filter((event: Event) => !(event instanceof WheelEvent) || event.ctrlKey || event.metaKey)
      .on('zoom', ({ transform }: { transform: { toString: () => string } }) => {
        content.current?.setAttribute('transform', transform.toString())
      })
    behaviour.current = zooming
    const selected = select(svg).call(zooming).on('dblclick.zoom', null)
    const first = Math.min(room().width / width, FIRST_MOST)
    selected.call((one) => {
      zooming.transform(one, zoomIdentity.translate(Math.max(0, (room().width - width * first) / 2), 0).scale(first))
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
  }, [width, height])

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
    <div className="relative">
      <svg
        ref={frame}
        // Arrow keys travel along wires: a reader's own would only tell what stands there.
        role="application"
        aria-label={label}
        aria-describedby={describedBy}
        tabIndex={0}
        onKeyDown={onKeyDown}
        className="h-[62dvh] w-full touch-none bg-sheet font-label desk:h-[calc(100dvh-8.5rem)]"
      >
        <g ref={content}>{children}</g>
      </svg>
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
      </div>
    </div>
  )
}
