import type { KillSearch } from '../../../shared/api/engines'
import { useWide } from '../../../shared/ui/useWide'
import { written } from '../../../shared/quantities/written'

type Branch = KillSearch['branches'][number]

const ROW = 44
const TOP = 30
/** Where stud and branches stand, and how wide it is: on a phone closer together, so that its letters keep their size. */
const WIDE = { stud: 150, branch: 250, width: 600, wires: true }
const NARROW = { stud: 116, branch: 158, width: 366, wires: false }
type Places = typeof WIDE
const WORDS: Record<Branch['state'], string> = {
  off: 'off the stud',
  on: 'on, with a spark',
  grounds: 'takes the spark away',
  comes_and_goes: 'comes and goes',
}

/** One branch: its wire from the stud, open where it is off, its switch, and what it is known to do. */
function BranchLine({ branch, y, middle, places }: { branch: Branch; y: number; middle: number; places: Places }) {
  const { stud, branch: end } = places
  const bad = branch.state === 'grounds' || branch.state === 'comes_and_goes'
  const off = branch.state !== 'on'
  return (
    <g data-branch={branch.number} data-state={branch.state}>
      <path
        d={`M${stud} ${middle} L${end - 30} ${y} H${end - (off ? 18 : 0)}`}
        className={`fill-none ${bad ? 'stroke-act' : off ? 'stroke-quiet' : 'stroke-copper'}`}
        strokeWidth="3"
        strokeDasharray={off && !bad ? '2 6' : undefined}
      />
      <rect
        x={end}
        y={y - 5}
        width="10"
        height="10"
        className={bad ? 'fill-act' : off ? 'fill-quiet' : 'fill-copper'}
      />
      <text x={end + 20} y={y - 2} className="fill-ink font-label text-base font-bold">
        {branch.label}
      </text>
      <text x={end + 20} y={y + 16} className={bad ? 'fill-act text-base' : 'fill-quiet text-base'}>
        {`${places.wires ? `${branch.wire}, ` : ''}${WORDS[branch.state]}${branch.ohm ? `, ${written(branch.ohm)}` : ''}`}
      </text>
    </g>
  )
}

/** The common stud with its branches, and the one lead to the ignition unit. */
export function StudDrawing({ kill }: { kill: KillSearch }) {
  const height = TOP * 2 + (kill.branches.length - 1) * ROW
  const middle = height / 2
  const places = useWide() ? WIDE : NARROW
  const unitOff = kill.next_step.kind === 'lead_off'
  return (
    <svg
      viewBox={`0 0 ${places.width} ${height}`}
      role="img"
      aria-label={`Stud ${kill.stud}: ${kill.branches.map((one) => `${one.label} ${WORDS[one.state]}`).join('; ')}`}
      className="w-full"
      style={{ maxWidth: places.width }}
    >
      <rect x="2" y={middle - 24} width="92" height="48" className="fill-none stroke-ink" strokeWidth="2" />
      <text x="48" y={middle - 2} textAnchor="middle" className="fill-ink font-label text-base font-bold">
        Ignition
      </text>
      <text x="48" y={middle + 16} textAnchor="middle" className="fill-ink font-label text-base font-bold">
        unit
      </text>
      <path
        d={`M${unitOff ? 112 : 94} ${middle} H${places.stud}`}
        className="fill-none stroke-copper"
        strokeWidth="3"
        strokeDasharray={unitOff ? '2 6' : undefined}
      />
      {kill.branches.map((branch, index) => (
        <BranchLine key={branch.key} branch={branch} y={TOP + index * ROW} middle={middle} places={places} />
      ))}
      <circle cx={places.stud} cy={middle} r="11" className="fill-ground stroke-ink" strokeWidth="3" />
      <text x={places.stud - 12} y={middle + 32} textAnchor="end" className="fill-ink font-label text-base font-bold">
        {kill.stud}
      </text>
    </svg>
  )
}
