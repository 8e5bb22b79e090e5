import { queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'
import type { components } from './schema'
import { wish } from './wish'

export type Rules = components['schemas']['HouseRules']
export type School = Rules['schools'][number]
export type Limit = Rules['limits'][number]

const PROGRESS_MILLISECONDS = 2_000

export const houseRules = () =>
  queryOptions({
    queryKey: ['house-rules'],
    queryFn: () => reply(client.GET('/api/house-rules')),
    refetchInterval: ({ state }) => (state.data && state.data.judging.length > 0 ? PROGRESS_MILLISECONDS : false),
  })

export const chooseSchool = (question: string, answer: string) =>
  wish('put', '/api/schools/{question}', { question }, { answer }, `School: ${question}`)

export const setLimit = (id: string, value: number, reason: string) =>
  wish('put', '/api/limits/{id}', { id }, { value, reason }, `Limit: ${id}`)

export const limitAsShipped = (id: string) =>
  wish('post', '/api/limits/{id}/as-shipped', { id }, {}, `Limit as shipped: ${id}`)
