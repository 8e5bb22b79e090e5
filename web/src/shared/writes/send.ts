import { client, HttpError, readReply, request } from '../api/http'
import type { Wish } from '../api/wish'

/** Sends a wish under its id: the same id is the same request, however often it goes out. */
export async function send(wish: Wish, id: string): Promise<unknown> {
  return readReply(
    await request(wish.path, {
      method: wish.method,
      headers: { 'content-type': 'application/json', 'request-id': id },
      body: JSON.stringify(wish.body),
    }),
  )
}

/** Whether a request was done; one that was not is never done afterwards, so that what was changed may go out anew. */
export async function settle(id: string): Promise<boolean> {
  const { data, response } = await client.POST('/api/requests/{id}/settlement', {
    params: { path: { id } },
    body: {} as never,
  })
  if (!data)
    throw new HttpError(response.status, {
      code: 'unreadable',
      message: 'The server gave no clear answer.',
      fields: {},
    })
  return data.saved
}
