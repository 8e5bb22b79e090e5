import { keepPreviousData, queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'
import type { components } from './schema'

type Schemas = components['schemas']
export type SheetDrawing = Schemas['SheetDrawing']
export type Picture = Schemas['Picture']
export type PicturePart = Schemas['PicturePart']
export type PicturePort = Schemas['PicturePort']
export type PictureWire = Schemas['PictureWire']

const PROGRESS_MILLISECONDS = 1_000

/** Drawn once for what a sheet says; asked again while it is being drawn. */
export const drawing = (id: string) =>
  queryOptions({
    queryKey: ['circuits', 'drawing', id],
    queryFn: () => reply(client.GET('/api/circuits/{id}/drawing', { params: { path: { id } } })),
    refetchInterval: ({ state }) => (state.data && 'before' in state.data ? PROGRESS_MILLISECONDS : false),
  })

/** What of a draft is sound already; the last drawing stays while the next one is made. */
export const draftDrawing = (id: string) =>
  queryOptions({
    queryKey: ['drafts', 'drawing', id],
    queryFn: () => reply(client.GET('/api/drafts/{id}/drawing', { params: { path: { id } } })),
    refetchInterval: ({ state }) => (state.data && 'before' in state.data ? PROGRESS_MILLISECONDS : false),
    placeholderData: keepPreviousData,
  })
