import { SIZE, widthOf } from '../text.js'
import { word } from './pens.js'

/** @type {import('./index.js').Symbol} A flag with the name of the sheet on which it goes on. */
export const link = {
  pitch: 20,
  size: (_most, _slots, title) => ({ width: Math.ceil(widthOf(title, SIZE.pin)) + 22, height: 20 }),
  draw: ({ width, height, title }) => ({
    shapes: [
      { d: `M5 0H${width - 5}L${width} ${height / 2}L${width - 5} ${height}H5L0 ${height / 2}Z`, look: 'outline' },
    ],
    words: [word(width / 2, 14, title, 'middle')],
  }),
}
