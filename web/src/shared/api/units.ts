import { infiniteQueryOptions, keepPreviousData, queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'
import type { components, paths } from './schema'
import type { NewFitting, NewUnit, UnitSheet } from './types'
import { wish } from './wish'

type Named = Pick<UnitSheet, 'id' | 'number'>
type Fields = Omit<NewUnit, 'id'>

export type UnitPage = components['schemas']['UnitList']
export type UnitFilter = Omit<NonNullable<paths['/api/units']['get']['parameters']['query']>, 'after'>

/** A page at a time, by yard and number; what it was narrowed to before stays on the screen until the new page is there. */
export const units = (filter: UnitFilter) =>
  infiniteQueryOptions({
    queryKey: ['units', 'list', filter],
    queryFn: ({ pageParam }) =>
      reply(
        client.GET('/api/units', { params: { query: pageParam === null ? filter : { ...filter, after: pageParam } } }),
      ),
    initialPageParam: null as string | null,
    getNextPageParam: (last) => last.after,
    placeholderData: keepPreviousData,
  })

/** All that is narrowed to, in its order, as a file. */
export const boardFile = (filter: UnitFilter) => `/api/board.csv?${new URLSearchParams(filter).toString()}`

/** The yards and classes of the fleet, with how many units each has. */
export const fleet = () =>
  queryOptions({
    queryKey: ['units', 'fleet'],
    queryFn: () => reply(client.GET('/api/units', { params: { query: {} } })),
  })

export type SisterFacts = components['schemas']['SisterFacts']

/** What most units of a class have in common; asked once both names stand there. A unit that asks is told what it lacks. */
export const sisterFacts = (make: string | null, model: string | null, unit?: string) =>
  queryOptions({
    queryKey: ['units', 'sisters', make, model, unit],
    queryFn: () =>
      reply(
        client.GET('/api/sisters', {
          params: { query: { make: make ?? '', model: model ?? '', ...(unit && { unit }) } },
        }),
      ),
    enabled: Boolean(make?.trim() && model?.trim()),
  })

export const unitSheet = (id: string) =>
  queryOptions({
    queryKey: ['units', 'sheet', id],
    queryFn: () => reply(client.GET('/api/units/{id}', { params: { path: { id } } })),
  })

/** What of its circuit a complaint can be about. */
export const complaints = (id: string, enabled: boolean) =>
  queryOptions({
    queryKey: ['units', 'complaints', id],
    queryFn: () => reply(client.GET('/api/units/{id}/complaints', { params: { path: { id } } })),
    enabled,
  })

export const enterUnit = (id: string, input: Fields) =>
  wish('post', '/api/units', {}, { ...input, id }, `New unit ${input.number}`)

export const changeUnit = (id: string, input: Fields, version: number) =>
  wish('patch', '/api/units/{id}', { id }, { ...input, lock_version: version }, `Changes to unit ${input.number}`)

export const fitBattery = (unit: Named, fitting: NewFitting) =>
  wish('post', '/api/units/{id}/fittings', { id: unit.id }, fitting, `Battery ${fitting.position} on ${unit.number}`)

export const takeOff = (unit: Named, position: string) =>
  wish(
    'post',
    '/api/units/{id}/fittings/{position}/take-off',
    { id: unit.id, position },
    {},
    `Battery ${position} off ${unit.number}`,
  )

export const retire = (unit: Named) =>
  wish('post', '/api/units/{id}/retire', { id: unit.id }, {}, `Retire ${unit.number}`)

export const bringBack = (unit: Named) =>
  wish('post', '/api/units/{id}/return', { id: unit.id }, {}, `Bring back ${unit.number}`)

export type Notice = UnitSheet['notices'][number]

export const notice = (unit: Named, input: components['schemas']['NewNotice']) =>
  wish('post', '/api/units/{id}/notices', { id: unit.id }, input, `Noticed on ${unit.number}`)

export const endNotice = (unit: Named, one: Notice, reason: string) =>
  wish('post', '/api/notices/{id}/end', { id: one.id }, { reason }, `Dealt with on ${unit.number}`)
