import { memo } from 'react'
import type { PictureWire } from '../api/drawing'
import type { Shade, Stands, WireLook } from './looks'
import { rounded } from './rounded'

/** What a wire is at is told by its dashes as well as by its colour. */
const STANDS: Record<Stands, { className: string; dashes?: string }> = {
  live: { className: 'stroke-copper' },
  low: { className: 'stroke-watch', dashes: '14 5' },
  ground: { className: 'stroke-graphite', dashes: '3 3' },
  open: { className: 'stroke-quiet', dashes: '1 6' },
}
const HALO: Partial<Record<Shade, string>> = {
  lit: 'stroke-copper/35',
  feed: 'stroke-copper/35',
  back: 'stroke-graphite/45',
  fault: 'stroke-act/45',
  suspect: 'stroke-watch/45',
}
const NO_COLOUR = '#f4f0e6'

interface Props {
  wire: PictureWire
  shade: Shade
  stands: WireLook['stands']
  /** null where nothing is asked of it. */
  onTap: ((number: string) => void) | null
}

/** A wire in its colour and tracer, with a dark edge; or in what it is at. */
export const Wire = memo(function Wire({ wire, shade, stands, onTap }: Props) {
  const d = rounded(wire.points)
  if (wire.wire === null)
    return <path d={d} fill="none" strokeWidth="1.2" strokeDasharray="3 3" className="stroke-quiet" />
  const more = wire.thick ? 2 : 0
  const [own, second] = wire.shades
  const halo = HALO[shade]
  return (
    <g
      className={`${onTap ? 'cursor-pointer' : ''} ${shade === 'dim' ? 'opacity-25' : ''}`}
      fill="none"
      data-wire={wire.number}
      data-shade={shade}
      data-stands={stands}
      onClick={() => {
        onTap?.(wire.number)
      }}
    >
      <path d={d} stroke="transparent" strokeWidth="18" />
      {halo && <path d={d} strokeWidth={14 + more} strokeLinecap="round" className={halo} />}
      {stands ? (
        <path
          d={d}
          strokeWidth={3.4 + more}
          strokeDasharray={STANDS[stands].dashes}
          className={STANDS[stands].className}
        />
      ) : (
        <>
          <path d={d} strokeWidth={4.2 + more} className={wire.colour ? 'stroke-ink/85' : 'stroke-quiet'} />
          <path d={d} strokeWidth={2.8 + more} stroke={own ?? NO_COLOUR} />
          {second && <path d={d} strokeWidth={1.8 + more / 2} strokeDasharray="7 7" stroke={second} />}
        </>
      )}
    </g>
  )
})
