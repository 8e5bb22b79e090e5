const KEY = 'tab'
/** A page that was loaded anew gets the tab's lock when the page before it has gone. */
const PATIENCE_MILLISECONDS = 1_000
const FOR_EVER = new Promise<never>(() => undefined)

const lockOf = (tab: string) => `tab:${tab}`

/** Takes the lock of a tab for as long as this page lives; false where another page has it. */
function claim(tab: string): Promise<boolean> {
  return new Promise((resolve) => {
    const signal = AbortSignal.timeout(PATIENCE_MILLISECONDS)
    navigator.locks
      .request(lockOf(tab), { signal }, () => {
        resolve(true)
        return FOR_EVER
      })
      .catch(() => {
        resolve(false)
      })
  })
}

function kept(): string | null {
  try {
    return sessionStorage.getItem(KEY)
  } catch {
    return null
  }
}

async function named(): Promise<string> {
  const before = kept()
  // A tab that was copied has the name of the other one.
  if (before !== null && (await claim(before))) return before

  const tab = crypto.randomUUID()
  await claim(tab)
  try {
    sessionStorage.setItem(KEY, tab)
  } catch {
    // Without room it is another tab after a reload, and takes up what this one left.
  }
  return tab
}

let own: Promise<string> | null = null

/** This tab, the same over a reload, and never the same as another that is open. */
export function ownTab(): Promise<string> {
  own ??= named()
  return own
}

/** The tabs that are open now, this one among them. */
export async function liveTabs(): Promise<Set<string>> {
  const { held } = await navigator.locks.query()
  const names = (held ?? []).flatMap(({ name }) => name ?? [])
  return new Set(names.filter((name) => name.startsWith(lockOf(''))).map((name) => name.slice(lockOf('').length)))
}

/** Work during which other tabs see that this record is on its way. */
export async function whileSending<T>(key: string, work: () => Promise<T>): Promise<T> {
  return await navigator.locks.request(`sending:${key}`, work)
}

/** Keys of the records that some open tab is sending right now. */
export async function onTheirWay(): Promise<Set<string>> {
  const { held } = await navigator.locks.query()
  const names = (held ?? []).flatMap(({ name }) => name ?? [])
  return new Set(names.filter((name) => name.startsWith('sending:')).map((name) => name.slice('sending:'.length)))
}
