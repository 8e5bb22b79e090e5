import { queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'
import type { components } from './schema'
import { wish } from './wish'

type Schemas = components['schemas']
export type Role = Schemas['Role']
export type FleetPerson = Schemas['People']['people'][number]

export const people = () => queryOptions({ queryKey: ['people'], queryFn: () => reply(client.GET('/api/people')) })

export const addPerson = (fields: Schemas['NewPerson']) =>
  wish('post', '/api/people', {}, fields, `New person ${fields.name}`)

export const letIn = (person: FleetPerson) =>
  wish('post', '/api/people/{id}/release', { id: person.id }, {}, `${person.name} let in`)

export const changePerson = (id: number, edit: Schemas['PersonEdit']) =>
  wish('patch', '/api/people/{id}', { id }, edit, `Changes to ${edit.name ?? 'a person'}`)
