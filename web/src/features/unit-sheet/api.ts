import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query'
import { asRequest, client, reply, type HttpError } from '../../shared/api/http'
import type { NewFitting, UnitSheet } from '../../shared/api/types'

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

function useUnitWrite<T>(write: (input: T) => Promise<UnitSheet>) {
  const queries = useQueryClient()
  return useMutation<UnitSheet, HttpError, T>({
    mutationFn: write,
    onSuccess: () =>
      Promise.all([
        queries.invalidateQueries({ queryKey: ['units'] }),
        queries.invalidateQueries({ queryKey: ['batteries'] }),
        queries.invalidateQueries({ queryKey: ['jobs'] }),
      ]),
  })
}

export const useFitBattery = (id: string) =>
  useUnitWrite(({ requestId, fitting }: { requestId: string; fitting: NewFitting }) =>
    reply(
      client.POST('/api/units/{id}/fittings', {
        params: { path: { id }, header: asRequest(requestId) },
        body: fitting,
      }),
    ),
  )

export const useTakeOff = (id: string) =>
  useUnitWrite(({ requestId, position }: { requestId: string; position: string }) =>
    reply(
      client.POST('/api/units/{id}/fittings/{position}/take-off', {
        params: { path: { id, position }, header: asRequest(requestId) },
        body: {} as never,
      }),
    ),
  )

export const useRetire = (id: string) =>
  useUnitWrite(({ requestId, retire }: { requestId: string; retire: boolean }) =>
    reply(
      client.POST(retire ? '/api/units/{id}/retire' : '/api/units/{id}/return', {
        params: { path: { id }, header: asRequest(requestId) },
        body: {} as never,
      }),
    ),
  )
