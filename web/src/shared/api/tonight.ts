import { keepPreviousData, queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'
import type { components } from './schema'
import { wish } from './wish'

type Schemas = components['schemas']
export type Tonight = Schemas['Tonight']
export type Night = Tonight['nights'][number]
export type StartLine = Tonight['lines'][number]
export type Outcome = Schemas['Outcome']
export type UnitStart = Schemas['UnitStart']

/** What one unit does on a cold morning. */
export const unitStart = (id: string) =>
  queryOptions({
    queryKey: ['tonight', 'unit', id],
    queryFn: () => reply(client.GET('/api/units/{id}/start', { params: { path: { id } } })),
  })

/** What will not start in the coming night. */
export const tonight = () =>
  queryOptions({
    queryKey: ['tonight'],
    queryFn: () => reply(client.GET('/api/tonight')),
    refetchInterval: 60_000,
  })

export type Proposal = Schemas['Proposal']

/** What to do before night with the minutes that are left, in one yard or in all, without what cannot be done. */
export const proposal = (minutes: number | null, yard: string, without: string[]) =>
  queryOptions({
    queryKey: ['tonight', 'proposal', minutes, yard, without],
    queryFn: () =>
      reply(
        client.GET('/api/tonight/proposal', {
          params: {
            query: {
              minutes: minutes ?? 0,
              ...(yard && { yard }),
              ...(without.length > 0 && { without: without.join(',') }),
            },
          },
        }),
      ),
    enabled: minutes !== null,
    placeholderData: keepPreviousData,
  })

/** All that was proposed, ticked at once. */
export const tickAll = (choices: Proposal['choices']) =>
  wish(
    'put',
    '/api/tonight/plan',
    {},
    { ticks: choices.map(({ unit_id, dawn, key }) => ({ unit_id, dawn, key })) },
    `${choices.length} things to do before night`,
  )

export const sayNight = (night: Night, fields: Omit<Schemas['NightFields'], 'dawn'>) =>
  wish(
    'put',
    '/api/yards/{id}/night',
    { id: night.yard_id },
    { dawn: night.dawn, ...fields },
    `How cold it gets in ${night.yard}`,
  )

export const sayMornings = (dawn: string, entries: { unit_id: string; outcome: Outcome }[], words: string) =>
  wish('post', '/api/mornings', {}, { dawn, entries }, words)

/** Since when a unit stands; nothing for one that runs. */
export const parkUnit = (unit: { id: string; number: string }, since: string | null) =>
  wish('put', '/api/units/{id}/parked', { id: unit.id }, { since }, `Since when ${unit.number} stands`)

/** What was changed on it that moves its cold start. */
export const sayChange = (unit: { id: string; number: string }, change: Schemas['NewStartChange']) =>
  wish('post', '/api/units/{id}/start-changes', { id: unit.id }, change, `What was changed on ${unit.number}`)

/** One thing that will be done for a unit before that dawn, or will not. */
export const planEvening = (unit: { id: string; name: string }, tick: Schemas['EveningPlan']) =>
  wish('put', '/api/units/{id}/plan', { id: unit.id }, tick, `What will be done for ${unit.name}`)
