import { queryOptions, useQuery } from '@tanstack/react-query'
import { client, reply } from '../api/http'
import type { Person } from '../api/types'

export const session = () =>
  queryOptions({
    queryKey: ['session'],
    queryFn: () => reply(client.GET('/api/session')),
    staleTime: 60_000,
    retry: false,
  })

/** Whether the person signed in may do something; the server decides again at each request. */
export function useMay(): (action: string) => boolean {
  const { data } = useQuery(session())
  return (action) => data?.may.includes(action) ?? false
}

/** Who is signed in; only for what is drawn after somebody is. */
export function usePerson(): Person {
  const { data } = useQuery(session())
  if (!data) throw new Error('Nobody is signed in')
  return data
}
