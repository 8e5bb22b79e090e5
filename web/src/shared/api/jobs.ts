import { infiniteQueryOptions, queryOptions, keepPreviousData } from '@tanstack/react-query'
import { client, reply } from './http'
import type { components } from './schema'
import type { JobBench, NewReading, NewRepair } from './types'
import { wish } from './wish'

type Schemas = components['schemas']
export type JobDrawing = Schemas['JobDrawing']
export type JobState = 'open' | 'parked' | 'closed' | 'cancelled'

const OTHERS_MILLISECONDS = 15_000
const PROGRESS_MILLISECONDS = 2_000

/** A page at a time, newest first. */
export const jobs = (state: JobState) =>
  infiniteQueryOptions({
    queryKey: ['jobs', 'list', state],
    queryFn: ({ pageParam }) =>
      reply(
        client.GET('/api/jobs', { params: { query: pageParam === null ? { state } : { state, before: pageParam } } }),
      ),
    initialPageParam: null as string | null,
    getNextPageParam: (last) => last.next,
  })

/** Something is worked out for it right now; what was only asked for waits as everything else does. */
const isMoving = (job: JobBench | undefined) => (job?.suspects?.progress ?? 0) > 0

export const bench = (id: string) =>
  queryOptions({
    queryKey: ['jobs', 'bench', id],
    queryFn: () => reply(client.GET('/api/jobs/{id}', { params: { path: { id } } })),
    refetchInterval: (asked) => (isMoving(asked.state.data) ? PROGRESS_MILLISECONDS : OTHERS_MILLISECONDS),
  })

/** A job on one of its circuit's sheets; asked again while that is being drawn, and as the job goes on. */
export const jobDrawing = (id: string, sheet: string | null) =>
  queryOptions({
    queryKey: ['jobs', 'drawing', id, sheet],
    queryFn: () =>
      reply(client.GET('/api/jobs/{id}/drawing', { params: { path: { id }, query: sheet === null ? {} : { sheet } } })),
    refetchInterval: ({ state }) =>
      (state.data?.before ?? null) === null ? OTHERS_MILLISECONDS : PROGRESS_MILLISECONDS,
    placeholderData: keepPreviousData,
  })

/** What sound sister units read in like conditions, by reading: asked anew with every reading that comes. */
export const jobSisters = (id: string, readings: string[]) =>
  queryOptions({
    queryKey: ['jobs', 'sisters', id, readings],
    queryFn: () => reply(client.GET('/api/jobs/{id}/sisters', { params: { path: { id } } })),
    enabled: readings.length > 0,
    staleTime: Infinity,
    placeholderData: keepPreviousData,
  })

/** Every point of the unit's circuit as the job sees it; the sheets it holds do not change. */
export const jobPoints = (id: string, enabled: boolean) =>
  queryOptions({
    queryKey: ['jobs', 'points', id],
    queryFn: () => reply(client.GET('/api/jobs/{id}/points', { params: { path: { id } } })),
    enabled,
    staleTime: Infinity,
  })

export interface Probe {
  by: string
  from: string
  to: string
  situation: string
  opened: string[]
}

/** What a sound circuit shows between two points. */
export const expectation = (id: string, probe: Probe, enabled: boolean) =>
  queryOptions({
    queryKey: ['jobs', 'expectation', id, probe],
    queryFn: () =>
      reply(
        client.GET('/api/jobs/{id}/expectation', {
          params: { path: { id }, query: { ...probe, opened: probe.opened.join(',') } },
        }),
      ),
    enabled,
    retry: false,
  })

export const openJob = (job: Schemas['NewJob'], unit: string) =>
  wish('post', '/api/jobs', {}, job, `New job on ${unit}: ${job.complaint}`)

const on = (job: JobBench) => `on ${job.unit.number}`

/** What was read, as it was typed. */
const figure = ({ position, value_text: text, observation }: NewReading) =>
  [position, text ?? observation?.replaceAll('_', ' ')].filter(Boolean).join(' ')

export const takeReading = (job: JobBench, body: NewReading, what: string) =>
  wish('post', '/api/jobs/{id}/readings', { id: job.id }, body, `Reading ${on(job)}: ${what} ${figure(body)}`)

export const correctReading = (job: JobBench, wrongId: string, body: Schemas['Correction'], what: string) =>
  wish('post', '/api/readings/{id}/correction', { id: wrongId }, body, `Correction ${on(job)}: ${what}`)

export const withdrawReading = (job: JobBench, id: string, reason: string, what: string) =>
  wish('post', '/api/readings/{id}/withdrawal', { id }, { reason }, `Withdrawal ${on(job)}: ${what}`)

export const recordRepair = (job: JobBench, body: NewRepair, what: string) =>
  wish('post', '/api/jobs/{id}/repairs', { id: job.id }, body, `Repair ${on(job)}: ${what}`)

export const makePermanent = (job: JobBench, id: string, what: string) =>
  wish('post', '/api/repairs/{id}/make-permanent', { id }, {}, `Permanent ${on(job)}: ${what}`)

export const noteDisturbance = (job: JobBench, id: string, what: string, lockout = false) =>
  wish('post', '/api/jobs/{id}/disturbances', { id: job.id }, { id, what, lockout }, `Disturbed ${on(job)}: ${what}`)

const UNDER_MACHINE = '/api/jobs/{id}/under-machine'

export const underMachinePath = (job: JobBench) => UNDER_MACHINE.replace('{id}', job.id)

export const goUnder = (job: JobBench) =>
  wish('post', UNDER_MACHINE, { id: job.id }, { somebody: true }, `Under the machine ${on(job)}`)

/** Without a person: whoever says so; with one: another who has answered. */
export const comeOut = (job: JobBench, person?: { person_id: number; person: string }) =>
  wish(
    'post',
    UNDER_MACHINE,
    { id: job.id },
    { somebody: false, ...(person && { person_id: person.person_id }) },
    `${person ? person.person : 'Out'} from under the machine ${on(job)}`,
  )

export const putBack = (job: JobBench, id: string, what: string) =>
  wish('post', '/api/disturbances/{id}/put-back', { id }, {}, `Put back ${on(job)}: ${what}`)

export const condemn = (job: JobBench, body: Schemas['NewCondemnation'], what: string) =>
  wish('post', '/api/jobs/{id}/condemnations', { id: job.id }, body, `Condemned ${on(job)}: ${what}`)

export type Ending = 'close' | 'park' | 'reopen' | 'cancel'

export const endJob = (job: JobBench, ending: Ending, reason: string) =>
  wish(
    'post',
    '/api/jobs/{id}/{ending}',
    { id: job.id, ending },
    { lock_version: job.lock_version, reason },
    `${ending} the job ${on(job)}`,
  )
