import { queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'

export const catalogue = () =>
  queryOptions({
    queryKey: ['catalogue'],
    queryFn: () => reply(client.GET('/api/catalogue')),
    staleTime: Infinity,
  })
