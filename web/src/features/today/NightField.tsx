import { useId } from 'react'
import { sayNight, type Night, type Tonight } from '../../shared/api/tonight'
import { numberFrom } from '../../shared/quantities/numberFrom'
import { spokenTime } from '../../shared/quantities/when'
import { useMay } from '../../shared/session/session'
import { AskedBack } from '../../shared/ui/AskedBack'
import { ErrorNote } from '../../shared/ui/ErrorNote'
import { useWrite } from '../../shared/writes/useWrite'
import { signed } from '../../shared/quantities/signed'

const SOURCES: Record<string, string> = { typed: 'typed', weather: 'weather' }

function Told({ night }: { night: Night }) {
  if (night.morning && night.measured_celsius !== null) return <span className="text-quiet">as measured</span>
  if (night.low_celsius === null) return <span className="text-quiet">not said yet</span>
  return (
    <span className="text-quiet">
      {SOURCES[night.source ?? '']} {night.said_at && spokenTime(night.said_at, night.time_zone)}
    </span>
  )
}

/** How cold it gets in one yard, in the morning how cold it was: what somebody types wins over the weather. */
export function NightField({ night }: { night: Night }) {
  const id = useId()
  const may = useMay()('say_morning')
  const celsius = (night.morning ? night.measured_celsius : null) ?? night.low_celsius
  const shown = celsius === null ? '' : signed(celsius)
  const say = useWrite<{ low: string }, Tonight>({
    name: `night:${night.yard_id}:${night.dawn}`,
    empty: { low: shown },
  })
  const send = (said: number | string, confirmed: boolean) => {
    const fields = night.morning ? { measured_celsius: said } : { low_celsius: said }
    void say.write(() => sayNight(night, { ...fields, confirmed }))
  }
  const submit = () => {
    const low = numberFrom(say.value.low.replace('−', '-'))
    if (low !== null && say.isDrafted) send(low, false)
  }
  const question = say.error?.question
  return (
    <form
      className="flex flex-col gap-1"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        submit()
      }}
    >
      <label htmlFor={id} className="font-label font-bold">
        {night.yard}
      </label>
      <span className="flex items-baseline gap-2">
        <input
          id={id}
          className="w-24 text-right font-figure text-lead"
          inputMode="text"
          autoComplete="off"
          disabled={!may || say.isPending}
          placeholder="low"
          value={say.value.low}
          onChange={(event) => {
            say.change({ low: event.target.value })
          }}
          onBlur={() => {
            if (!question) submit()
          }}
          aria-describedby={`${id}-told`}
        />
        <span>°C</span>
      </span>
      <span id={`${id}-told`}>
        <Told night={night} />
      </span>
      {question ? (
        <AskedBack
          question={question}
          onAnswer={(meant) => {
            const typed = numberFrom(say.value.low.replace('−', '-'))
            if (meant !== null) say.change({ low: String(meant) })
            if (typed !== null) send(meant ?? typed, true)
          }}
        />
      ) : (
        <ErrorNote error={say.error} />
      )}
    </form>
  )
}
