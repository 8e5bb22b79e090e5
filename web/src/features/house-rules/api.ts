import { queryOptions } from '@tanstack/react-query'
import { client, reply } from '../../shared/api/http'
import type { components } from '../../shared/api/schema'
import { wish } from '../../shared/writes/wish'

type Schemas = components['schemas']
export type Rules = Schemas['HouseRules']
export type School = Rules['schools'][number]
export type Limit = Rules['limits'][number]
export type Role = Schemas['Role']
export type FleetPerson = Schemas['People']['people'][number]
export type Yard = Schemas['Yards']['yards'][number]

const PROGRESS_MILLISECONDS = 2_000

export const houseRules = () =>
  queryOptions({
    queryKey: ['house-rules'],
    queryFn: () => reply(client.GET('/api/house-rules')),
    refetchInterval: ({ state }) => (state.data && state.data.judging.length > 0 ? PROGRESS_MILLISECONDS : false),
  })

export const people = () => queryOptions({ queryKey: ['people'], queryFn: () => reply(client.GET('/api/people')) })

export const yards = () => queryOptions({ queryKey: ['yards'], queryFn: () => reply(client.GET('/api/yards')) })

export const chooseSchool = (question: string, answer: string) =>
  wish('put', '/api/schools/{question}', { question }, { answer }, `School: ${question}`)

export const setLimit = (id: string, value: number, reason: string) =>
  wish('put', '/api/limits/{id}', { id }, { value, reason }, `Limit: ${id}`)

export const limitAsShipped = (id: string) =>
  wish('post', '/api/limits/{id}/as-shipped', { id }, {}, `Limit as shipped: ${id}`)

export const addPerson = (fields: Schemas['NewPerson']) =>
  wish('post', '/api/people', {}, fields, `New person ${fields.name}`)

export const changePerson = (id: number, edit: Schemas['PersonEdit']) =>
  wish('patch', '/api/people/{id}', { id }, edit, `Changes to ${edit.name ?? 'a person'}`)

export const addYard = (fields: Schemas['YardFields']) =>
  wish('post', '/api/yards', {}, fields, `New yard ${fields.name}`)

export const changeYard = (id: string, fields: Schemas['YardFields']) =>
  wish('patch', '/api/yards/{id}', { id }, fields, `Changes to yard ${fields.name}`)
