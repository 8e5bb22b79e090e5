import { queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'
import type { components } from './schema'
import { wish } from './wish'

type Schemas = components['schemas']
export type UnitParts = Schemas['UnitAssets']
export type Place = UnitParts['places'][number]
export type Part = Schemas['Asset']
export type PartRecord = Schemas['AssetRecord']

/** What of a unit is an individual: its starter, its alternator, its relays. */
export const unitParts = (id: string) =>
  queryOptions({
    queryKey: ['units', 'parts', id],
    queryFn: () => reply(client.GET('/api/units/{id}/parts', { params: { path: { id } } })),
  })

/** A starter, an alternator or a relay through its life. */
export const part = (id: string) =>
  queryOptions({
    queryKey: ['parts', id],
    queryFn: () => reply(client.GET('/api/parts/{id}', { params: { path: { id } } })),
  })

export const fitPart = (unit: UnitParts['unit'], place: Place, input: Omit<Schemas['NewAssetFitting'], 'place'>) =>
  wish(
    'post',
    '/api/units/{id}/parts',
    { id: unit.id },
    { place: place.key, ...input },
    `${place.label} on ${unit.number}`,
  )

export const takePartOff = (unit: UnitParts['unit'], place: Place) =>
  wish(
    'post',
    '/api/units/{id}/parts/take-off',
    { id: unit.id },
    { place: place.key },
    `${place.label} off ${unit.number}`,
  )

export const scrapPart = (one: Part, reason: string) =>
  wish('post', '/api/parts/{id}/scrap', { id: one.id }, { reason }, `Scrap ${one.tag}`)

export const keepPart = (one: Part) => wish('post', '/api/parts/{id}/keep', { id: one.id }, {}, `Keep ${one.tag}`)
