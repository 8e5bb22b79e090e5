import { queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'
import type { components } from './schema'
import { wish } from './wish'

type Schemas = components['schemas']
export type ItemFacts = Schemas['ItemFacts']
export type ItemFact = Schemas['ItemFact']

/** All that a sheet says of one wire or component, and what its unit has otherwise. */
export const itemFacts = (id: string, item: string) =>
  queryOptions({
    queryKey: ['circuits', 'facts', id, item],
    queryFn: () => reply(client.GET('/api/circuits/{id}/facts', { params: { path: { id }, query: { item } } })),
  })

export const ownFacts = (id: string) =>
  queryOptions({
    queryKey: ['circuits', 'own', id],
    queryFn: () => reply(client.GET('/api/circuits/{id}/own-facts', { params: { path: { id } } })),
  })

export const sayOtherwise = (id: string, body: Schemas['NewOwnFact'], words: string) =>
  wish('post', '/api/circuits/{id}/own-facts', { id }, body, words)
