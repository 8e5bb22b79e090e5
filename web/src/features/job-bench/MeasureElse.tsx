import { useQuery } from '@tanstack/react-query'
import { useEffect, useRef, useState } from 'react'
import { catalogue } from '../../shared/api/catalogue'
import { expectation, jobPoints, type Probe } from '../../shared/api/jobs'
import type { JobBench, JobPoints } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Combobox } from '../../shared/ui/Combobox'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { Field } from '../../shared/ui/Field'
import { Segments } from '../../shared/ui/Segments'
import { expectedWords, type PadTarget } from '../../shared/pad/pad'

interface Props {
  job: JobBench
  points: Probe
  onPoints: (next: Probe) => void
  onPick: (target: PadTarget) => void
}

const pointChoices = (known: JobPoints) => known.points.map(({ node, label }) => ({ label: node, detail: label }))

type Plug = JobPoints['plugs'][number]

function PlugOptions({ plugs }: { plugs: Plug[] }) {
  return plugs.map((plug) => (
    <option key={plug.id} value={plug.id}>
      {plug.id}, {plug.label}
    </option>
  ))
}

/** A machine has dozens of plugs: those on the way of the complaint come first. */
function GroupedPlugs({ plugs, path }: { plugs: Plug[]; path: JobBench['path'] }) {
  const stretches = [...(path?.feed ?? []), ...(path?.return ?? [])]
  const near = new Set(
    stretches.flatMap((stretch) => [stretch.from, stretch.to]).map((node) => node.replace(/:.*$/, '')),
  )
  const onWay = plugs.filter((plug) => near.has(plug.id))
  if (!path || onWay.length === 0) return <PlugOptions plugs={plugs} />
  return (
    <>
      <optgroup label={`On the way to ${path.load} and back`}>
        <PlugOptions plugs={onWay} />
      </optgroup>
      <optgroup label="Elsewhere on its circuit">
        <PlugOptions plugs={plugs.filter((plug) => !near.has(plug.id))} />
      </optgroup>
    </>
  )
}

interface Unplugging {
  known: JobPoints
  path: JobBench['path']
  off: string[]
  onOff: (next: string[]) => void
}

/** What is unplugged while this is read, one box each, and an empty one for the next. */
function Unplugged({ known, path, off, onOff }: Unplugging) {
  return [...off, ''].map((chosen, at) => (
    <Field key={at} label={at === 0 ? 'Unplugged' : 'Unplugged too'}>
      {(wiring) => (
        <select
          {...wiring}
          value={chosen}
          onChange={(event) => {
            onOff([...off.slice(0, at), event.target.value, ...off.slice(at + 1)].filter((id) => id !== ''))
          }}
        >
          <option value="">nothing{at > 0 && ' else'}</option>
          <GroupedPlugs
            plugs={known.plugs.filter((plug) => plug.id === chosen || !off.includes(plug.id))}
            path={path}
          />
        </select>
      )}
    </Field>
  ))
}

function Asked({ job, points, onPoints, onPick }: Props) {
  const { data: known } = useQuery(jobPoints(job.id, true))
  const { data: lists } = useQuery(catalogue())
  const asked = { ...points, situation: points.situation || job.symptom.situation, opened: points.opened }
  const ready = points.from !== '' && points.to !== ''
  const { data: card, error } = useQuery(expectation(job.id, asked, ready))
  const change = (part: Partial<Probe>) => {
    onPoints({ ...asked, ...part })
  }
  if (!known || !lists) return null
  const ends = pointChoices(known)
  const expected = card && expectedWords(card)
  return (
    <div className="flex flex-col gap-4 pt-3">
      <Segments
        label="Measured as"
        options={lists.ways.filter((way) => way.key !== 'seen').map(({ key, label }) => ({ key, label }))}
        chosen={points.by}
        onChoose={(by) => {
          change({ by })
        }}
      />
      <div className="grid gap-4 desk:grid-cols-2">
        <Combobox
          label="Red lead on"
          placeholder="K11:85, X8:a/1, G8"
          choices={ends}
          text={points.from}
          onText={(from) => {
            change({ from })
          }}
        />
        <Combobox
          label="Black lead on"
          placeholder="K11:85, X8:a/1, G8"
          choices={ends}
          text={points.to}
          onText={(to) => {
            change({ to })
          }}
        />
        <Field label="State">
          {(wiring) => (
            <select
              {...wiring}
              value={asked.situation}
              onChange={(event) => {
                change({ situation: event.target.value })
              }}
            >
              {known.situations.map((one) => (
                <option key={one.key} value={one.key}>
                  {one.label}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Unplugged
          known={known}
          path={job.path}
          off={asked.opened}
          onOff={(opened) => {
            change({ opened })
          }}
        />
      </div>
      {expected && <p>{expected}.</p>}
      {ready && <ErrorNote error={error} />}
      <Button
        className="self-start"
        disabled={!card}
        onClick={() => {
          if (card) onPick({ testKey: null, probe: card, position: null })
        }}
      >
        Take this reading
      </Button>
    </div>
  )
}

/** Two points of the circuit instead of the proposed reading: by typing them, or by tapping the drawing. */
export function MeasureElse(asking: Props) {
  const [opened, setOpened] = useState(false)
  const open = opened || asking.points.from !== ''
  const place = useRef<HTMLDetailsElement>(null)
  // With a point already, it was come for: from the drawing.
  const cameFor = useRef(asking.points.from !== '')
  useEffect(() => {
    if (cameFor.current) place.current?.scrollIntoView({ block: 'start' })
  }, [])
  return (
    <details
      ref={place}
      className="rule-below pb-3"
      open={open}
      onToggle={(event) => {
        setOpened(event.currentTarget.open)
      }}
    >
      <summary className="flex min-h-12 cursor-pointer items-center font-label font-bold">
        <span className="link-words">Measure something else</span>
      </summary>
      {open && <Asked {...asking} />}
    </details>
  )
}
