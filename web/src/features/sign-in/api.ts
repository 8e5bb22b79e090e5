import { useMutation, useQueryClient } from '@tanstack/react-query'
import { asRequest, client, HttpError, reply } from '../../shared/api/http'
import type { Person } from '../../shared/api/types'
import { session } from '../../shared/session/session'

const REASONS: Record<number, string> = {
  401: 'E-mail or password is wrong.',
  403: 'Too many wrong tries: wait fifteen minutes, or ask the lead.',
}

export async function signIn(input: { login: string; password: string }): Promise<void> {
  const { response } = await client.POST('/api/sign-in', { body: input }).catch(() => {
    throw new HttpError(0, { code: 'offline', message: 'No network. Try again when it is back.', fields: {} })
  })
  if (response.ok) return

  const message = REASONS[response.status] ?? 'Signing in did not work. Try again.'
  throw new HttpError(response.status, { code: 'sign_in', message, fields: {} })
}

export async function signOut(): Promise<void> {
  await client.POST('/api/sign-out', { body: {} as never })
}

/** One's own password; signs one out everywhere else. */
export function useChangePassword() {
  const queries = useQueryClient()
  return useMutation<Person, HttpError, { requestId: string; current: string; fresh: string }>({
    mutationFn: ({ requestId, ...body }) =>
      reply(client.PUT('/api/session/password', { params: { header: asRequest(requestId) }, body })),
    onSuccess: (person) => {
      queries.setQueryData(session().queryKey, person)
    },
  })
}
