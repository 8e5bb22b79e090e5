import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { useMay } from '../../shared/session/session'
import { VerdictMark } from '../../shared/ui/VerdictMark'
import { units } from '../../shared/api/units'
import { Shown } from '../../shared/page/Shown'
import { useTitle } from '../../shared/page/useTitle'

/** All units by yard; the ones with open work carry the mark. */
export function UnitList() {
  const [retired, setRetired] = useState(false)
  const may = useMay()
  const asked = useQuery(units(retired))
  useTitle('Units')
  return (
    <Shown asked={asked} what="the units">
      {(data) => {
        const yards = [...new Set(data.units.map((unit) => unit.yard))].sort()
        return (
          <div>
            <div className="flex flex-wrap items-end justify-between gap-4 pb-6">
              <div>
                <h1 className="text-display leading-tight">Units</h1>
                <p className="text-quiet">
                  {data.units.length} {retired ? 'retired' : 'in service'}, by yard.
                </p>
              </div>
              <div className="flex items-center gap-6">
                <label className="flex min-h-12 items-center gap-2">
                  <input
                    type="checkbox"
                    checked={retired}
                    onChange={(event) => {
                      setRetired(event.target.checked)
                    }}
                  />
                  Retired ones
                </label>
                {may('edit_units') && (
                  <Link
                    to="/units/new"
                    className="inline-flex min-h-12 items-center border border-copper px-4 font-label font-bold text-copper no-underline hover:bg-copper hover:text-on-copper"
                  >
                    New unit
                  </Link>
                )}
              </div>
            </div>
            {data.units.length === 0 && (
              <p>
                {retired
                  ? 'None is retired.'
                  : 'No unit yet. “New unit” enters the first: its number, its batteries, its usual cranking current.'}
              </p>
            )}
            <div className="gap-x-12 desk:columns-2">
              {yards.map((yard) => (
                <section key={yard} aria-label={yard} className="break-inside-avoid pb-8">
                  <h2 className="rule-below pb-1 text-lead">{yard}</h2>
                  <ul>
                    {data.units
                      .filter((unit) => unit.yard === yard)
                      .map((unit) => (
                        <li key={unit.id} className="rule-below">
                          <Link
                            to={`/units/${unit.id}`}
                            className="grid min-h-12 grid-cols-[4.5rem_1fr_auto] items-center gap-3 py-2 no-underline hover:bg-hair/40"
                          >
                            <span className="font-label text-lead font-bold link-words">{unit.number}</span>
                            <span>
                              {unit.name}
                              <span className="block text-quiet">{unit.system}</span>
                            </span>
                            {unit.open_jobs > 0 && (
                              <span className="flex items-center gap-2">
                                <VerdictMark verdict="act" word={false} />
                                <span className="font-label font-bold">open job</span>
                              </span>
                            )}
                          </Link>
                        </li>
                      ))}
                  </ul>
                </section>
              ))}
            </div>
          </div>
        )
      }}
    </Shown>
  )
}
