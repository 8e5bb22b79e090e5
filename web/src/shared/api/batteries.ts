import { queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'

export const looseBatteries = () =>
  queryOptions({
    queryKey: ['batteries', 'loose'],
    queryFn: () => reply(client.GET('/api/batteries/loose')),
  })
