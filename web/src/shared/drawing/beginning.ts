import type { Picture } from '../api/drawing'

/** Where a sheet is begun to be read: at the part that stands highest, as supplies do; of several the leftmost. */
export function beginning(picture: Picture): { x: number; y: number } {
  const [first] = picture.parts
    .map((part) => ({ x: part.x + part.width / 2, y: part.y }))
    .sort((one, other) => one.y - other.y || one.x - other.x)
  return first ?? { x: picture.width / 2, y: 0 }
}
