import { keepPreviousData, queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'
import type { components } from './schema'
import { wish } from './wish'

type Schemas = components['schemas']
export type Draft = Schemas['Draft']
export type DraftRow = Schemas['DraftRow']
export type ListColumns = Schemas['ListColumns']
export type ListMapping = Schemas['ListMapping']
export type SheetChange = Schemas['SheetChange']
export type SheetVersions = Schemas['SheetVersions']

export const drafts = () =>
  queryOptions({ queryKey: ['drafts', 'list'], queryFn: () => reply(client.GET('/api/drafts')) })

/** Which page of each kind of rows is looked at, and whether only those with which something is wrong. */
export interface DraftView {
  component_page: number
  wire_page: number
  only_wrong?: 'yes'
}
const WORK_MILLISECONDS = 1_000

/** Asked again while something is done to it behind the scenes. */
export const draft = (id: string, view: DraftView) =>
  queryOptions({
    queryKey: ['drafts', 'draft', id, view],
    queryFn: () => reply(client.GET('/api/drafts/{id}', { params: { path: { id }, query: view } })),
    placeholderData: keepPreviousData,
    refetchInterval: ({ state }) => (state.data?.work?.going_on === true ? WORK_MILLISECONDS : false),
  })

export const versions = (id: string) =>
  queryOptions({
    queryKey: ['circuits', 'versions', id],
    queryFn: () => reply(client.GET('/api/circuits/{id}/versions', { params: { path: { id } } })),
  })

/** What the sheet with this id says otherwise than another version of it. */
export const difference = (since: string, id: string) =>
  queryOptions({
    queryKey: ['circuits', 'difference', since, id],
    queryFn: () =>
      reply(client.GET('/api/circuits/{id}/difference', { params: { path: { id: since }, query: { to: id } } })),
  })

export const beginDraft = (body: Schemas['NewDraft'], words: string) => wish('post', '/api/drafts', {}, body, words)

export const typeRow = (draftId: string, row: Schemas['DraftRows']['rows'][number]) =>
  wish('put', '/api/drafts/{id}/rows', { id: draftId }, { rows: [row] }, 'Row of a sheet')

export const typeHead = (draftId: string, body: Schemas['DraftHead']) =>
  wish('put', '/api/drafts/{id}/head', { id: draftId }, body, 'Head of a sheet')

export const copyBlock = (draftId: string, components: string[]) =>
  wish('post', '/api/drafts/{id}/copies', { id: draftId }, { components }, 'Components copied')

/** What the columns of a wire list most likely are; changes nothing. */
export const listColumns = (draftId: string, csv: string) =>
  reply(client.POST('/api/drafts/{id}/list-columns', { params: { path: { id: draftId } }, body: { csv } }))

export const takeList = (draftId: string, body: Schemas['ListToTake']) =>
  wish('post', '/api/drafts/{id}/lists', { id: draftId }, body, 'Wire list of a sheet')

export const undoStep = (draftId: string) =>
  wish('post', '/api/drafts/{id}/undo', { id: draftId }, {}, 'Undone on a sheet')

export const cancelWork = (draftId: string) =>
  wish('post', '/api/drafts/{id}/cancellation', { id: draftId }, {}, 'Cancelled on a sheet')

export const publish = (draftId: string, onto: string | null) =>
  wish('post', '/api/drafts/{id}/publication', { id: draftId }, { onto }, 'Sheet published')

export const dropDraft = (draftId: string) => wish('post', '/api/drafts/{id}/end', { id: draftId }, {}, 'Draft dropped')

export const moveUnits = (versionId: string, units: string[]) =>
  wish('post', '/api/circuits/{id}/units', { id: versionId }, { units }, 'Units moved to a version')
