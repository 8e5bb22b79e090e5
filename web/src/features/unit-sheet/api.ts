import { queryOptions } from '@tanstack/react-query'
import { client, reply } from '../../shared/api/http'
import type { NewFitting, UnitSheet } from '../../shared/api/types'
import { wish } from '../../shared/writes/wish'

type Named = Pick<UnitSheet, 'id' | 'number'>

export const unitSheet = (id: string) =>
  queryOptions({
    queryKey: ['units', 'sheet', id],
    queryFn: () => reply(client.GET('/api/units/{id}', { params: { path: { id } } })),
  })

export const looseBatteries = () =>
  queryOptions({
    queryKey: ['batteries', 'loose'],
    queryFn: () => reply(client.GET('/api/batteries/loose')),
  })

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
