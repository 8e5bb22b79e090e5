import { keepPreviousData, queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'
import type { components } from './schema'
import { wish } from './wish'

type Schemas = components['schemas']
export type SheetTable = Schemas['SheetTable']
export type SheetPart = Schemas['SheetPart']
export type SheetWire = Schemas['SheetWire']
export type PinAnswer = Schemas['PinAnswer']
export type CircuitPath = Schemas['CircuitPath']
export type CircuitNet = Schemas['CircuitNet']
export type CircuitItem = Schemas['CircuitItem']
export type CommonCause = Schemas['CommonCause']
export type NextLook = NonNullable<Schemas['CauseAnswer']['next_look']>
export type UnitCircuits = Schemas['UnitCircuits']
export type SheetOfUnits = Schemas['SheetOfUnits']
export type CircuitLibrary = Schemas['CircuitLibrary']
export type CircuitClass = Schemas['CircuitLibrary']['classes'][number]

const PROGRESS_MILLISECONDS = 1_500

const onSheet = (id: string) => ({ path: { id } })

export const library = () =>
  queryOptions({ queryKey: ['circuits', 'library'], queryFn: () => reply(client.GET('/api/circuits')) })

export const sheet = (id: string) =>
  queryOptions({
    queryKey: ['circuits', 'sheet', id],
    queryFn: () => reply(client.GET('/api/circuits/{id}', { params: onSheet(id) })),
  })

export const pin = (id: string, name: string, state: string) =>
  queryOptions({
    queryKey: ['circuits', 'pin', id, name, state],
    queryFn: () =>
      reply(client.GET('/api/circuits/{id}/pin', { params: { ...onSheet(id), query: { pin: name, state } } })),
  })

/** Who listens to a signal, and whether it may be cut. */
export const signal = (id: string, name: string) =>
  queryOptions({
    queryKey: ['circuits', 'signal', id, name],
    queryFn: () => reply(client.GET('/api/circuits/{id}/signal', { params: { ...onSheet(id), query: { pin: name } } })),
  })

export const wire = (id: string, number: string) =>
  queryOptions({
    queryKey: ['circuits', 'wire', id, number],
    queryFn: () => reply(client.GET('/api/circuits/{id}/wire', { params: { ...onSheet(id), query: { number } } })),
  })

export const opening = (id: string, item: string) =>
  queryOptions({
    queryKey: ['circuits', 'opening', id, item],
    queryFn: () => reply(client.GET('/api/circuits/{id}/opening', { params: { ...onSheet(id), query: { item } } })),
  })

export const live = (id: string, item: string | null, state: string) =>
  queryOptions({
    queryKey: ['circuits', 'live', id, item, state],
    queryFn: () =>
      reply(
        client.GET('/api/circuits/{id}/live', {
          params: { ...onSheet(id), query: item === null ? { state } : { item, state } },
        }),
      ),
  })

/** What was said of each thing, by word. */
export interface SeenList {
  dead: string[]
  weak: string[]
  runs: string[]
  low: string[]
  high: string[]
  working: string[]
}

export const commonCause = (id: string, seen: SeenList, anythingBad: boolean) =>
  queryOptions({
    queryKey: ['circuits', 'cause', id, seen],
    queryFn: () => {
      const query = Object.fromEntries(Object.entries(seen).map(([word, keys]) => [word, (keys as string[]).join(',')]))
      return reply(client.GET('/api/circuits/{id}/common-cause', { params: { ...onSheet(id), query } }))
    },
    enabled: anythingBad,
    placeholderData: keepPreviousData,
    refetchInterval: ({ state }) => (state.data && 'progress' in state.data ? PROGRESS_MILLISECONDS : false),
  })

export const unitCircuits = (unitId: string) =>
  queryOptions({
    queryKey: ['circuits', 'unit', unitId],
    queryFn: () => reply(client.GET('/api/units/{id}/circuits', { params: { path: { id: unitId } } })),
  })

export const rule = (unitId: string, body: Schemas['NewRuling']) =>
  wish('post', '/api/units/{id}/rulings', { id: unitId }, body, `Ruling: ${body.conflict_key}`)

export const fitSheet = (unitId: string, versionId: string, what: string) =>
  wish('post', '/api/units/{id}/circuits', { id: unitId }, { version_id: versionId }, `Sheet fitted: ${what}`)

/** Every sheet that most of its sisters have and it lacks. */
export const fitAsSisters = (unit: { id: string; number: string }) =>
  wish('post', '/api/units/{id}/circuits/as-sisters', { id: unit.id }, {}, `Sheets of its sisters on ${unit.number}`)

export const bringInSheet = (content: string, wiresCsv: string | null) =>
  wish('post', '/api/circuits', {}, { content, wires_csv: wiresCsv }, 'Sheet brought in')
