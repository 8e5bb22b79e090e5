import { queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'
import type { components } from './schema'
import { wish } from './wish'

type Schemas = components['schemas']
export type Yard = Schemas['Yards']['yards'][number]

export const yards = () => queryOptions({ queryKey: ['yards'], queryFn: () => reply(client.GET('/api/yards')) })

export const addYard = (fields: Schemas['YardFields']) =>
  wish('post', '/api/yards', {}, fields, `New yard ${fields.name}`)

export const changeYard = (id: string, fields: Schemas['YardFields']) =>
  wish('patch', '/api/yards/{id}', { id }, fields, `Changes to yard ${fields.name}`)
