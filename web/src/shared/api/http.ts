import createClient from 'openapi-fetch'
import type { components, paths } from './schema'

type Refusal = components['schemas']['Refused']['error']

/** The one error of the front end: status 0 means that the network is gone. */
export class HttpError extends Error {
  readonly status: number
  readonly code: string
  readonly fields: Record<string, string[]>
  readonly question: components['schemas']['Question'] | undefined
  readonly problems: Refusal['problems']

  constructor(status: number, refusal: Refusal) {
    super(refusal.message)
    this.status = status
    this.code = refusal.code
    this.fields = refusal.fields
    this.question = refusal.question
    this.problems = refusal.problems
  }
}

const OFFLINE: Refusal = {
  code: 'offline',
  message: 'No network. What you typed is kept on this device; it is sent when the network is back, or try again.',
  fields: {},
}
const UNREADABLE: Refusal = { code: 'unreadable', message: 'The server gave no clear answer. Try again.', fields: {} }

export const client = createClient<paths>({ baseUrl: window.location.origin })

function refusalIn(body: unknown): Refusal {
  const error = typeof body === 'object' && body !== null && 'error' in body ? body.error : undefined
  return typeof error === 'object' && error !== null ? (error as Refusal) : UNREADABLE
}

/** Waits for a reply and gives its data, or throws HttpError. */
export async function reply<T>(
  request: Promise<{ data?: T | undefined; error?: unknown; response: Response }>,
): Promise<T> {
  const answer = await request.catch(() => {
    throw new HttpError(0, OFFLINE)
  })
  if (answer.error !== undefined || answer.data === undefined) {
    const refused = new HttpError(answer.response.status, refusalIn(answer.error))
    if (refused.code === 'not_signed_in') announceSignedOut()
    throw refused
  }
  return answer.data
}

const listeners = new Set<() => void>()

/** Calls back whenever the server says that nobody is signed in any more. */
export function onSignedOut(listener: () => void): () => void {
  listeners.add(listener)
  return () => {
    listeners.delete(listener)
  }
}

function announceSignedOut() {
  listeners.forEach((listener) => {
    listener()
  })
}

/** The header every write carries; made once per intention, so that a second tap is the same request. */
export const asRequest = (id: string) => ({ 'Request-Id': id })
