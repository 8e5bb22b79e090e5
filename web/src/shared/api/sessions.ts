import { queryOptions } from '@tanstack/react-query'
import { client, reply } from './http'
import { wish } from './wish'

export async function signOut(): Promise<void> {
  await reply(client.POST('/api/sign-out', { body: {} as never }))
}

export const openSessions = () =>
  queryOptions({ queryKey: ['session', 'open'], queryFn: () => reply(client.GET('/api/sessions')) })

export const endSession = (id: string, device: string) =>
  wish('post', '/api/sessions/{id}/end', { id }, {}, `End the session on ${device}`)

export const changePassword = (current: string, fresh: string) =>
  wish('put', '/api/session/password', {}, { current, fresh }, 'New password')
