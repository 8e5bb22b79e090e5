const DAY = 86_400_000
const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' })
const dayAndMonth = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' })
const dayMonthYear = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' })

/** "05:40" today, "23 Nov 05:40" this year, "23 Nov 2025" before. */
export function spokenTime(iso: string, now = new Date()): string {
  const time = new Date(iso)
  if (time.toDateString() === now.toDateString()) return clock.format(time)
  if (now.getTime() - time.getTime() < 300 * DAY) return `${dayAndMonth.format(time)} ${clock.format(time)}`
  return dayMonthYear.format(time)
}

/** "today", "1 day", "12 days": how long something has stood. */
export function spokenAge(iso: string, now = new Date()): string {
  const days = Math.floor((now.getTime() - new Date(iso).getTime()) / DAY)
  if (days < 1) return 'today'
  return days === 1 ? '1 day' : `${days} days`
}

export const spokenDay = (iso: string): string => dayMonthYear.format(new Date(iso))
