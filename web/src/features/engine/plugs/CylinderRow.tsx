import type { PlugSearch } from '../../../shared/api/engines'

type Cylinder = PlugSearch['cylinders'][number]

const state = (one: Cylinder) => (one.dead === null ? 'not run yet' : one.dead ? 'dead' : 'fires')

/** One plug as it stands in its cylinder: whole where it fires, gap open where it is dead, drops where it is wet. */
function Plug({ one }: { one: Cylinder }) {
  const tone = one.dead === null ? 'stroke-quiet' : one.dead ? 'stroke-act' : 'stroke-sound'
  return (
    <svg viewBox="0 0 48 72" className="h-18 w-12" aria-hidden="true">
      <path
        d="M24 2 V18 M14 18 H34 L38 30 H10 Z M16 30 V48 M32 30 V48 M32 48 H16"
        className={`fill-none ${tone}`}
        strokeWidth="3"
      />
      <path
        d={one.dead ? 'M24 48 V52 M24 62 H34 V48' : 'M24 48 V56 M24 60 H34 V48'}
        className={`fill-none ${tone}`}
        strokeWidth="3"
      />
      {one.masked && <path d="M12 54 q-4 7 0 9 q4 -2 0 -9 M42 50 q-4 7 0 9 q4 -2 0 -9" className="fill-act" />}
    </svg>
  )
}

/** Every cylinder side by side: whether it fires, how its plug looks, and what that does not say. */
export function CylinderRow({ plugs }: { plugs: PlugSearch }) {
  return (
    <ul aria-label="Cylinders" className="grid grid-cols-2 gap-x-6 gap-y-4 desk:grid-cols-4">
      {plugs.cylinders.map((one) => (
        <li key={one.cylinder} className="rule-below flex flex-col gap-1 pb-3" data-cylinder={one.cylinder}>
          <div className="flex items-end gap-3">
            <Plug one={one} />
            <p>
              <span className="block text-reading leading-none font-semibold">{one.cylinder}</span>
              <span className={one.dead ? 'font-semibold text-act' : 'text-quiet'}>{state(one)}</span>
            </p>
          </div>
          {one.plug && (
            <p>
              <span className="font-semibold">{one.plug.label}.</span> {one.plug.means}.{' '}
              <span className="text-quiet">{one.plug.not}.</span>
            </p>
          )}
          {one.masked && <p className="font-semibold text-act">Wet: it may stay dead though it is mended.</p>}
        </li>
      ))}
    </ul>
  )
}
