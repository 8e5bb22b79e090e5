import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { useMay } from '../../../shared/session/session'
import { HERE, spokenDay } from '../../../shared/quantities/when'
import { Button } from '../../../shared/ui/Button'
import { ErrorNote } from '../../../shared/ui/ErrorNote'
import { Sheet } from '../../../shared/ui/Sheet'
import { useWrite } from '../../../shared/writes/useWrite'
import { Changes } from '../../../shared/drawing/Changes'
import { beginDraft, difference, moveUnits, versions, type Draft, type SheetVersions } from '../../../shared/api/drafts'
import type { SheetTable } from '../../../shared/api/circuits'
import { Shown } from '../../../shared/page/Shown'
import { BeginDraft } from '../library/BeginDraft'

const count = (many: number, word: string) => `${many} ${word}${many === 1 ? '' : 's'}`

function Change({ sheet }: { sheet: SheetTable }) {
  const navigate = useNavigate()
  const [copying, setCopying] = useState(false)
  const changing = useWrite<object, Draft>({
    name: `change-sheet:${sheet.version_id}`,
    empty: {},
    onSaved: (reply) => void navigate(`/drafts/${reply.id}`),
  })
  return (
    <div className="flex flex-col gap-3">
      <div className="flex flex-wrap gap-3">
        <Button
          look="main"
          disabled={changing.isPending}
          onClick={() => {
            void changing.write((id) =>
              beginDraft({ id, version_id: sheet.version_id, key: null, title: null, system_volt: null }, sheet.title),
            )
          }}
        >
          Change this sheet
        </Button>
        <Button
          onClick={() => {
            setCopying(true)
          }}
        >
          Copy it for another make
        </Button>
      </div>
      <ErrorNote error={changing.error} />
      <Sheet
        title="A copy for another make"
        open={copying}
        onClose={() => {
          setCopying(false)
        }}
      >
        <BeginDraft copyOf={{ version_id: sheet.version_id, title: sheet.title }} />
      </Sheet>
    </div>
  )
}

function Move({ data, may }: { data: SheetVersions; may: boolean }) {
  const [newest] = data.versions
  const more = data.behind_count - data.behind.length
  const [chosen, setChosen] = useState<string[]>([])
  const moving = useWrite<object, SheetVersions>({
    name: `move-units:${newest?.version_id ?? ''}`,
    empty: {},
    onSaved: () => {
      setChosen([])
    },
  })
  if (!newest || data.behind.length === 0)
    return <p className="text-quiet">Every unit that has it has the newest version.</p>
  const nOf = (id: string) => data.versions.find((one) => one.version_id === id)?.n
  return (
    <section aria-label="Units with an older version" className="flex flex-col gap-2">
      <h3 className="text-lead">Units with an older version</h3>
      <ul>
        {data.behind.map((unit) => (
          <li key={unit.id} className="rule-below">
            <label className="flex min-h-12 items-center gap-3 dense:min-h-9">
              {may && (
                <input
                  type="checkbox"
                  checked={chosen.includes(unit.id)}
                  onChange={(event) => {
                    setChosen(event.target.checked ? [...chosen, unit.id] : chosen.filter((one) => one !== unit.id))
                  }}
                />
              )}
              <span>
                <strong className="font-semibold">{unit.number}</strong> {unit.name}, {unit.yard}
                <span className="text-quiet">, version {nOf(unit.version_id)}</span>
              </span>
            </label>
          </li>
        ))}
      </ul>
      {more > 0 && <p className="text-quiet">And {more} more, once these are moved.</p>}
      {may && (
        <Button
          disabled={chosen.length === 0 || moving.isPending}
          onClick={() => {
            void moving.write(() => moveUnits(newest.version_id, chosen))
          }}
        >
          Move {count(chosen.length, 'unit')} to version {newest.n}
        </Button>
      )}
      <p className="text-quiet">
        What a unit has of its own goes with it. Jobs that are open go on with what they hold.
      </p>
      <ErrorNote error={moving.error} />
    </section>
  )
}

/** What the version that is shown says otherwise than another one; it stands out on the drawing too. */
function Since({ since, sheet }: { since: string; sheet: SheetTable }) {
  const asked = useQuery(difference(since, sheet.version_id))
  return (
    <Shown asked={asked} what="what differs">
      {({ changes }) => (
        <div className="border-l-4 border-watch pl-4">
          <p className="text-quiet">Version {sheet.n} says, against it:</p>
          <Changes changes={changes} />
        </div>
      )}
    </Shown>
  )
}

/** What there is of a sheet, who has which version, and the ways to a new one. */
export function VersionsPanel({
  sheet,
  since,
  onSince,
}: {
  sheet: SheetTable
  since: string | null
  onSince: (since: string | null) => void
}) {
  const asked = useQuery(versions(sheet.id))
  const may = useMay()('edit_circuits')
  return (
    <Shown asked={asked} what="its versions">
      {(data) => (
        <div className="flex flex-col gap-5">
          <h2 className="text-reading leading-tight">Versions</h2>
          <ul>
            {data.versions.map((one) => (
              <li key={one.version_id} className="rule-below py-1">
                <Link to={`/circuits/${one.version_id}?ask=versions`}>Version {one.n}</Link>
                <span className="text-quiet">
                  , {one.person ?? 'shipped'}, {spokenDay(one.published_at, HERE)}, {count(one.units, 'unit')}
                  {one.jobs > 0 && `, ${count(one.jobs, 'open job')} on it`}
                </span>
                {one.version_id !== sheet.version_id && (
                  <Button
                    look="quiet"
                    className="ml-3"
                    aria-pressed={since === one.version_id}
                    aria-label={`What differs from version ${one.n}`}
                    onClick={() => {
                      onSince(since === one.version_id ? null : one.version_id)
                    }}
                  >
                    what differs
                  </Button>
                )}
                {since === one.version_id && <Since since={since} sheet={sheet} />}
              </li>
            ))}
          </ul>
          {may && <Change sheet={sheet} />}
          <Move data={data} may={may} />
        </div>
      )}
    </Shown>
  )
}
