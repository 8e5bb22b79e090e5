import { queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'

/** Units in service, or the retired ones. */
export const units = (retired: boolean) =>
  queryOptions({
    queryKey: ['units', 'list', retired],
    queryFn: () => reply(client.GET('/api/units', { params: { query: { retired: retired ? 'true' : 'false' } } })),
  })
