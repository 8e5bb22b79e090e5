import createClient from 'openapi-fetch'
import { written, writtenOut } from '../quantities/written'
import { askOnce } from './askOnce'
import type { components, paths } from './schema'

export type Refusal = components['schemas']['Refused']['error']

/** The one error of the front end: status 0 means that the network is gone. */
export class HttpError extends Error {
  readonly status: number
  readonly code: string
  readonly fields: Record<string, string[]>
  readonly question: components['schemas']['Question'] | undefined
  readonly problems: Refusal['problems']
  /** How the row stands that somebody else changed meanwhile. */
  readonly theirs: Record<string, unknown> | undefined
  /** As it came, to be kept with what was refused. */
  readonly refusal: Refusal

  constructor(status: number, refusal: Refusal) {
    super(refusal.message)
    this.status = status
    this.refusal = refusal
    this.code = refusal.code
    this.fields = refusal.fields
    this.question = refusal.question
    this.problems = refusal.problems
    this.theirs = refusal.theirs
  }
}

const OFFLINE: Refusal = {
  code: 'offline',
  message: 'No network. What you typed is kept on this device. Try again when it is back.',
  fields: {},
}
const UNREADABLE: Refusal = { code: 'unreadable', message: 'The server gave no clear answer. Try again.', fields: {} }
/** After which a silent network counts as dead. */
const PATIENCE_MILLISECONDS = 10_000

/** A request that ends, one way or the other, while somebody is still looking. */
export async function request(
  address: RequestInfo | URL,
  options: RequestInit = {},
  patience = PATIENCE_MILLISECONDS,
): Promise<Response> {
  try {
    return await fetch(address, { ...options, signal: AbortSignal.timeout(patience) })
  } catch {
    throw new HttpError(0, OFFLINE)
  }
}

export const client = createClient<paths>({ baseUrl: window.location.origin, fetch: askOnce(request) })

function refusalIn(body: unknown): Refusal {
  const error = typeof body === 'object' && body !== null && 'error' in body ? body.error : undefined
  return typeof error === 'object' && error !== null ? (error as Refusal) : UNREADABLE
}

/** Done, and not to be shown just now. */
const SAVED = 202
const isSaved = (body: unknown): body is { why: string } => typeof body === 'object' && body !== null && 'saved' in body

/** The data of a response, or its refusal thrown as HttpError; that of a write which was done and is not shown too. */
export async function readReply(response: Response): Promise<unknown> {
  const body: unknown = await response.json().catch(() => null)
  if (response.status === SAVED && isSaved(body))
    throw new HttpError(SAVED, { code: 'not_shown', message: written(body.why), fields: {} })
  if (response.ok && body !== null) return writtenOut(body)
  throw refused(response.status, body)
}

/** Its sentences as people write, at the fields too. */
function spoken(refusal: Refusal): Refusal {
  const fields = Object.entries(refusal.fields).map(([field, sentences]) => [field, sentences.map(written)])
  return { ...writtenOut(refusal), fields: Object.fromEntries(fields) as Refusal['fields'] }
}

function refused(status: number, body: unknown): HttpError {
  const error = new HttpError(status, spoken(refusalIn(body)))
  if (error.code === 'not_signed_in') announceSignedOut()
  return error
}

/** Waits for a reply and gives its data, or throws HttpError. */
export async function reply<T>(
  asked: Promise<{ data?: T | undefined; error?: unknown; response: Response }>,
): Promise<T> {
  const answer = await asked
  if (answer.error !== undefined || answer.data === undefined) throw refused(answer.response.status, answer.error)
  return writtenOut(answer.data)
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
