import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query'
import { asRequest, client, reply, type HttpError } from '../../shared/api/http'
import type { NewUnit, UnitSheet } from '../../shared/api/types'

export const unit = (id: string) =>
  queryOptions({
    queryKey: ['units', 'sheet', id],
    queryFn: () => reply(client.GET('/api/units/{id}', { params: { path: { id } } })),
  })

interface Save {
  requestId: string
  input: Omit<NewUnit, 'id'>
  existing: UnitSheet | undefined
}

export function useSaveUnit(onSaved: (sheet: UnitSheet) => void) {
  const queries = useQueryClient()
  return useMutation<UnitSheet, HttpError, Save>({
    mutationFn: ({ requestId, input, existing }) =>
      existing
        ? reply(
            client.PATCH('/api/units/{id}', {
              params: { path: { id: existing.id }, header: asRequest(requestId) },
              body: { ...input, lock_version: existing.lock_version },
            }),
          )
        : reply(
            client.POST('/api/units', {
              params: { header: asRequest(requestId) },
              body: { ...input, id: requestId },
            }),
          ),
    onSuccess: (sheet) => {
      void queries.invalidateQueries({ queryKey: ['units'] })
      onSaved(sheet)
    },
  })
}
