import { useMutation } from '@tanstack/react-query'
import { client, reply, type HttpError } from '../../shared/api/http'
import type { Credentials, Person } from '../../shared/api/types'

const MOST_TURNS = 30
const TURN_MILLISECONDS = 1_000

/** Only a few passwords are checked at once: whoever is told to wait is asked for again by itself. */
export const useSignIn = (onDone: (person: Person) => void) =>
  useMutation<Person, HttpError, Credentials>({
    mutationFn: (body) => reply(client.POST('/api/sign-in', { body })),
    retry: (turns, error) => error.code === 'in_line' && turns < MOST_TURNS,
    retryDelay: TURN_MILLISECONDS,
    networkMode: 'always',
    onSuccess: onDone,
  })
