import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query'
import { asRequest, client, reply, type HttpError } from '../../shared/api/http'
import type { Credentials, OpenSessions, Person } from '../../shared/api/types'
import { session } from '../../shared/session/session'

const MOST_TURNS = 30
const TURN_MILLISECONDS = 1_000

/** Only a few passwords are checked at once: whoever is told to wait is asked for again by itself. */
export const useSignIn = (onDone: () => void) =>
  useMutation<Person, HttpError, Credentials>({
    mutationFn: (body) => reply(client.POST('/api/sign-in', { body })),
    retry: (turns, error) => error.code === 'in_line' && turns < MOST_TURNS,
    retryDelay: TURN_MILLISECONDS,
    networkMode: 'always',
    onSuccess: onDone,
  })

export async function signOut(): Promise<void> {
  await reply(client.POST('/api/sign-out', { body: {} as never }))
}

export const openSessions = () =>
  queryOptions({ queryKey: ['session', 'open'], queryFn: () => reply(client.GET('/api/sessions')) })

export function useEndSession() {
  const queries = useQueryClient()
  return useMutation<OpenSessions, HttpError, { requestId: string; id: string }>({
    mutationFn: ({ requestId, id }) =>
      reply(
        client.POST('/api/sessions/{id}/end', {
          params: { path: { id }, header: asRequest(requestId) },
          body: {} as never,
        }),
      ),
    onSuccess: (open) => {
      queries.setQueryData(openSessions().queryKey, open)
    },
  })
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
