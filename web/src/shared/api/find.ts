import { queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'

export const find = (q: string) =>
  queryOptions({
    queryKey: ['find', q],
    queryFn: () => reply(client.GET('/api/find', { params: { query: { q } } })),
    enabled: q.trim() !== '',
    placeholderData: (previous) => previous,
  })
