type Ask = (request: Request) => Promise<Response>

const MOST = 20
const NOT_MODIFIED = 304

/** Pages that are asked for again and again come over the network only when they changed: the last copy stands in for the same again. */
export function askOnce(ask: (address: Request) => Promise<Response>): Ask {
  const kept = new Map<string, { tag: string; copy: Response }>()
  return async (request) => {
    if (request.method !== 'GET') return ask(request)
    const before = kept.get(request.url)
    if (before) request.headers.set('if-none-match', before.tag)
    const response = await ask(request)
    if (response.status === NOT_MODIFIED && before) return before.copy.clone()
    const tag = response.headers.get('etag')
    if (tag && response.ok) {
      kept.delete(request.url)
      if (kept.size >= MOST) kept.delete(kept.keys().next().value ?? '')
      kept.set(request.url, { tag, copy: response.clone() })
    }
    return response
  }
}
