import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query'
import { asRequest, client, reply, type HttpError } from '../../shared/api/http'
import type { components } from '../../shared/api/schema'

export type Rules = components['schemas']['HouseRules']
export type School = Rules['schools'][number]
export type Limit = Rules['limits'][number]

export const houseRules = () =>
  queryOptions({ queryKey: ['house-rules'], queryFn: () => reply(client.GET('/api/house-rules')) })

export function useChooseSchool() {
  const queries = useQueryClient()
  return useMutation<Rules, HttpError, { question: string; answer: string }>({
    mutationFn: ({ question, answer }) =>
      reply(
        client.PUT('/api/schools/{question}', {
          params: { path: { question }, header: asRequest(crypto.randomUUID()) },
          body: { answer },
        }),
      ),
    onSuccess: async (rules) => {
      queries.setQueryData(houseRules().queryKey, rules)
      await queries.invalidateQueries({ queryKey: ['jobs'] })
    },
  })
}
