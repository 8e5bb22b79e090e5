import type { Picture, PicturePart, PicturePort } from '../api/drawing'

export interface Spot {
  part: PicturePart
  port: PicturePort
}

/** Where the keyboard goes on a picture: along the pins of a part, over a wire to its other end, up to supply, down to ground. */
export class Travel {
  private readonly spots: Map<string, Spot>
  private readonly byWire: Map<string, Spot[]>

  constructor(picture: Picture) {
    const all = picture.parts.flatMap((part) => part.ports.map((port) => ({ part, port })))
    this.spots = new Map(all.map((spot) => [spot.port.id, spot]))
    this.byWire = new Map()
    for (const spot of all) {
      const wire = spot.port.wire ?? ''
      this.byWire.set(wire, [...(this.byWire.get(wire) ?? []), spot])
    }
  }

  /** The first end of a wire on a pin. */
  on(pin: string): Spot | undefined {
    return [...this.spots.values()].find((spot) => spot.port.pin === pin)
  }

  at(id: string | null): Spot | undefined {
    return id === null ? undefined : this.spots.get(id)
  }

  first(): Spot | undefined {
    return this.spots.values().next().value
  }

  next(spot: Spot, key: string): Spot | undefined {
    if (key === 'ArrowUp') return this.at(spot.port.up)
    if (key === 'ArrowDown') return this.at(spot.port.down)
    if (key === 'Enter') return this.otherEnd(spot)
    return this.beside(spot, key === 'ArrowRight' ? 1 : -1)
  }

  private otherEnd({ port }: Spot): Spot | undefined {
    return this.byWire.get(port.wire ?? '')?.find((spot) => spot.port.id !== port.id)
  }

  /** The next end on the same side of the part; past its last one the first on its other side. */
  private beside({ part, port }: Spot, step: 1 | -1): Spot | undefined {
    const order = [...part.ports].sort(
      (one, other) => one.side.localeCompare(other.side) || one.x - other.x || one.y - other.y,
    )
    const index = order.findIndex((one) => one.id === port.id)
    const next = order.at((index + step + order.length) % order.length)
    return next && { part, port: next }
  }
}

export const TRAVEL_KEYS = ['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight', 'Enter']
