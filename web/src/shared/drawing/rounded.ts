const CORNER = 5

type Point = readonly number[]

const at = ([x = 0, y = 0]: Point) => `${x.toFixed(1)} ${y.toFixed(1)}`

function toward([fromX = 0, fromY = 0]: Point, [toX = 0, toY = 0]: Point): Point {
  const apart = Math.hypot(toX - fromX, toY - fromY)
  const share = apart === 0 ? 0 : Math.min(CORNER, apart / 2) / apart
  return [fromX + (toX - fromX) * share, fromY + (toY - fromY) * share]
}

/** The path of a wire, its corners rounded. */
export const rounded = (points: readonly Point[]): string =>
  points
    .map((point, index) => {
      const [before, after] = [points[index - 1], points[index + 1]]
      if (before === undefined) return `M${at(point)}`
      if (after === undefined) return `L${at(point)}`
      return `L${at(toward(point, before))}Q${at(point)} ${at(toward(point, after))}`
    })
    .join('')
