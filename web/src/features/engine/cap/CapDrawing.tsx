import type { Cap } from '../../../shared/api/engines'

type Towers = Cap['maps'][number]['towers']

const SIZE = 260
const MIDDLE = SIZE / 2
const RING = 86
const TOWER = 24
const DEGREES_AN_HOUR = 30

const at = (hour: number, radius: number) => {
  const radians = ((hour * DEGREES_AN_HOUR - 90) * Math.PI) / 180
  return { x: MIDDLE + radius * Math.cos(radians), y: MIDDLE + radius * Math.sin(radians) }
}

/** Which way the rotor goes, as an arrow round the middle. */
function Turn({ clockwise }: { clockwise: boolean }) {
  const from = at(clockwise ? 10.6 : 1.4, 40)
  const to = at(clockwise ? 1.4 : 10.6, 40)
  const back = clockwise ? -1 : 1
  return (
    <g className="fill-none stroke-quiet" strokeWidth="3">
      <path d={`M${from.x} ${from.y} A40 40 0 0 ${clockwise ? 1 : 0} ${to.x} ${to.y}`} />
      <path d={`M${to.x + back * 13} ${to.y - 7} L${to.x} ${to.y} L${to.x + back * 3} ${to.y - 14}`} />
    </g>
  )
}

/** A cap as one looks at it: towers by the hand of a clock, the tower of cylinder 1 in copper, those that have to change ringed. */
export function CapDrawing({
  title,
  towers,
  clockwise,
  change,
}: {
  title: string
  towers: Towers
  clockwise: boolean
  change?: number[] | null
}) {
  return (
    <figure className="flex flex-col gap-1">
      <svg
        viewBox={`0 0 ${SIZE} ${SIZE}`}
        role="img"
        aria-label={`${title}: ${towers.map((tower) => `cylinder ${tower.cylinder} at ${tower.hour}`).join(', ')}`}
        className="w-full max-w-72"
      >
        <circle cx={MIDDLE} cy={MIDDLE} r={RING + TOWER + 12} className="fill-none stroke-quiet" strokeWidth="1.5" />
        <Turn clockwise={clockwise} />
        <text x={MIDDLE} y={MIDDLE + 22} textAnchor="middle" className="fill-quiet text-base">
          {clockwise ? 'clockwise' : 'anticlockwise'}
        </text>
        {towers.map((tower, index) => {
          const { x, y } = at(tower.hour, RING)
          const first = tower.cylinder === 1
          const wrong = change?.includes(tower.cylinder)
          return (
            <g key={tower.cylinder} data-tower={tower.cylinder}>
              <circle
                cx={x}
                cy={y}
                r={TOWER}
                className={first ? 'fill-copper stroke-copper' : `fill-ground ${wrong ? 'stroke-act' : 'stroke-ink'}`}
                strokeWidth={wrong ? 5 : 2.5}
              />
              <text
                x={x}
                y={y + 8}
                textAnchor="middle"
                className={`text-reading font-semibold ${first ? 'fill-on-copper' : 'fill-ink'}`}
              >
                {tower.cylinder}
              </text>
              <title>{`${index + 1}. in the order, at ${tower.hour} o’clock`}</title>
            </g>
          )
        })}
      </svg>
      <figcaption className="font-label font-bold">{title}</figcaption>
    </figure>
  )
}
