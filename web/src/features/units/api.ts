import { queryOptions } from '@tanstack/react-query'
import { client, reply } from '../../shared/api/http'
import type { NewUnit } from '../../shared/api/types'
import { wish } from '../../shared/writes/wish'

export const unit = (id: string) =>
  queryOptions({
    queryKey: ['units', 'sheet', id],
    queryFn: () => reply(client.GET('/api/units/{id}', { params: { path: { id } } })),
  })

type Fields = Omit<NewUnit, 'id'>

export const enterUnit = (id: string, input: Fields) =>
  wish('post', '/api/units', {}, { ...input, id }, `New unit ${input.number}`)

export const changeUnit = (id: string, input: Fields, version: number) =>
  wish('patch', '/api/units/{id}', { id }, { ...input, lock_version: version }, `Changes to unit ${input.number}`)
