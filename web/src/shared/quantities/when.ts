// Times are told by the clock of the yard they happened in, wherever the reader sits.
const DAY = 86_400_000

/** Where the reader sits: for what happened in no yard. */
export const HERE = Intl.DateTimeFormat().resolvedOptions().timeZone

function clockOf(timeZone: string) {
  const style = (options: Intl.DateTimeFormatOptions, locale = 'en-GB') =>
    new Intl.DateTimeFormat(locale, { ...options, timeZone })
  const numericDay = style({ year: 'numeric', month: '2-digit', day: '2-digit' }, 'en-CA')
  return {
    time: style({ hour: '2-digit', minute: '2-digit' }),
    dayAndMonth: style({ day: 'numeric', month: 'short' }),
    dayMonthYear: style({ day: 'numeric', month: 'short', year: 'numeric' }),
    /** Days since 1970 on this clock's calendar. */
    dayNumber: (time: Date) => Date.parse(numericDay.format(time)) / DAY,
  }
}

const clocks = new Map<string, ReturnType<typeof clockOf>>()
function clockIn(timeZone: string) {
  const clock = clocks.get(timeZone) ?? clockOf(timeZone)
  clocks.set(timeZone, clock)
  return clock
}

/** "05:40" today, "23 Nov 05:40" within a year, "23 Nov 2025" before. */
export function spokenTime(iso: string, timeZone: string, now = new Date()): string {
  const time = new Date(iso)
  const clock = clockIn(timeZone)
  const age = clock.dayNumber(now) - clock.dayNumber(time)
  if (age === 0) return clock.time.format(time)
  if (age < 300) return `${clock.dayAndMonth.format(time)} ${clock.time.format(time)}`
  return clock.dayMonthYear.format(time)
}

/** "today", "1 day", "12 days": how long something has stood, by the yard's calendar. */
export function spokenAge(iso: string, timeZone: string, now = new Date()): string {
  const clock = clockIn(timeZone)
  const days = clock.dayNumber(now) - clock.dayNumber(new Date(iso))
  if (days < 1) return 'today'
  return days === 1 ? '1 day' : `${days} days`
}

/** The day of a moment, by the yard's calendar. */
export const spokenDay = (iso: string, timeZone: string): string => clockIn(timeZone).dayMonthYear.format(new Date(iso))

/** A day that was entered or worked out as a day: the same everywhere. */
export const spokenDate = (isoDate: string): string => spokenDay(isoDate, 'UTC')

/** The reader's own today. */
export const spokenToday = (): string => spokenDay(new Date().toISOString(), HERE)

const yearOf = new Intl.DateTimeFormat('en-GB', { year: 'numeric', timeZone: 'UTC' })
const shortDay = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' })
const shortMonth = new Intl.DateTimeFormat('en-GB', { month: 'short', year: 'numeric', timeZone: 'UTC' })

/** "3 Nov" this year, "Nov 2025" before: for columns. */
export function shortDate(isoDate: string, now = new Date()): string {
  const day = new Date(isoDate)
  return yearOf.format(day) === yearOf.format(now) ? shortDay.format(day) : shortMonth.format(day)
}
