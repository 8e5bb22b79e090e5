import { queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'

export const today = () =>
  queryOptions({
    queryKey: ['today'],
    queryFn: () => reply(client.GET('/api/today')),
    refetchInterval: 60_000,
  })
