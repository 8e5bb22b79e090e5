import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query'
import { asRequest, client, reply, type HttpError } from '../../shared/api/http'
import type { components } from '../../shared/api/schema'

type Schemas = components['schemas']
export type Rules = Schemas['HouseRules']
export type School = Rules['schools'][number]
export type Limit = Rules['limits'][number]
export type Role = Schemas['Role']
export type FleetPerson = Schemas['People']['people'][number]
export type Yard = Schemas['Yards']['yards'][number]

export const houseRules = () =>
  queryOptions({ queryKey: ['house-rules'], queryFn: () => reply(client.GET('/api/house-rules')) })

export const people = () => queryOptions({ queryKey: ['people'], queryFn: () => reply(client.GET('/api/people')) })

export const yards = () => queryOptions({ queryKey: ['yards'], queryFn: () => reply(client.GET('/api/yards')) })

/** Verdicts follow the rules: what was worked out by the old ones is asked for again. */
function useRuleChange<Wish>(ask: (wish: Wish) => Promise<Rules>) {
  const queries = useQueryClient()
  return useMutation<Rules, HttpError, Wish>({
    mutationFn: ask,
    onSuccess: async (rules) => {
      queries.setQueryData(houseRules().queryKey, rules)
      await queries.invalidateQueries({ queryKey: ['jobs'] })
      await queries.invalidateQueries({ queryKey: ['units'] })
    },
  })
}

export const useChooseSchool = () =>
  useRuleChange(({ question, answer }: { question: string; answer: string }) =>
    reply(
      client.PUT('/api/schools/{question}', {
        params: { path: { question }, header: asRequest(crypto.randomUUID()) },
        body: { answer },
      }),
    ),
  )

export const useSetLimit = () =>
  useRuleChange(({ requestId, id, ...body }: { requestId: string; id: string; value: number; reason: string }) =>
    reply(client.PUT('/api/limits/{id}', { params: { path: { id }, header: asRequest(requestId) }, body })),
  )

export const useLimitAsShipped = () =>
  useRuleChange(({ requestId, id }: { requestId: string; id: string }) =>
    reply(
      client.POST('/api/limits/{id}/as-shipped', {
        params: { path: { id }, header: asRequest(requestId) },
        body: {} as never,
      }),
    ),
  )

/** Adds a person, or changes one: what the edit leaves out stays. */
export function useSavePerson() {
  const queries = useQueryClient()
  return useMutation<
    Schemas['People'],
    HttpError,
    { requestId: string } & ({ add: Schemas['NewPerson'] } | { id: number; edit: Schemas['PersonEdit'] })
  >({
    mutationFn: (wish) => {
      const header = asRequest(wish.requestId)
      return 'add' in wish
        ? reply(client.POST('/api/people', { params: { header }, body: wish.add }))
        : reply(client.PATCH('/api/people/{id}', { params: { path: { id: wish.id }, header }, body: wish.edit }))
    },
    onSuccess: async (fresh) => {
      queries.setQueryData(people().queryKey, fresh)
      await queries.invalidateQueries({ queryKey: ['session'] })
    },
  })
}

/** Adds a yard, or changes the one whose id is given. */
export function useSaveYard() {
  const queries = useQueryClient()
  return useMutation<
    Schemas['Yards'],
    HttpError,
    { requestId: string; id: string | undefined; fields: Schemas['YardFields'] }
  >({
    mutationFn: ({ requestId, id, fields }) => {
      const header = asRequest(requestId)
      return id
        ? reply(client.PATCH('/api/yards/{id}', { params: { path: { id }, header }, body: fields }))
        : reply(client.POST('/api/yards', { params: { header }, body: fields }))
    },
    // Names and clocks of yards stand on every page.
    onSuccess: async (fresh) => {
      queries.setQueryData(yards().queryKey, fresh)
      await queries.invalidateQueries({ predicate: ({ queryKey }) => queryKey[0] !== 'yards' })
    },
  })
}
