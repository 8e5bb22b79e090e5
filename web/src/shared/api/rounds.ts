import { queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'
import type { components } from './schema'
import { wish } from './wish'

type Schemas = components['schemas']
export type Round = Schemas['Round']
export type RoundKind = 'batteries' | 'start' | 'charge' | 'asleep'
export type RoundStep = Round['steps'][number]

export const isRound = (kind: string): kind is RoundKind => ['batteries', 'start', 'charge', 'asleep'].includes(kind)

/** A round of today: its steps and what was read at each. */
export const round = (id: string, kind: RoundKind) =>
  queryOptions({
    queryKey: ['units', 'rounds', id, kind],
    queryFn: () => reply(client.GET('/api/units/{id}/rounds/{kind}', { params: { path: { id, kind } } })),
  })

export const readOnRound = (data: Round, input: Schemas['NewReading'], what: string) =>
  wish(
    'post',
    '/api/units/{id}/rounds/{kind}/readings',
    { id: data.unit.id, kind: data.key },
    input,
    `Reading on ${data.unit.number}: ${what}`,
  )

export const withdrawFromRound = (data: Round, reading: string, reason: string) =>
  wish(
    'post',
    '/api/units/{id}/rounds/{kind}/readings/{reading}/withdrawal',
    { id: data.unit.id, kind: data.key, reading },
    { reason },
    `Reading withdrawn on ${data.unit.number}`,
  )
