import { randomUUID } from 'node:crypto'
import { expect, test } from 'vitest'
import type { Lawn } from '#contract/lawn'
import { useOurs } from './ours'

const { call, surveyed } = useOurs()
const AS_THE_FIRM = { language: null, units: null }
const readsOf = async ({ id }: Lawn) => (await call<Lawn>('GET', `/api/lawns/${id}`)).body.clientReads

test('how a client reads is of the client: on all of their lawns, until it is as the firm again', async () => {
  const first = await surveyed()
  const second = (
    await call<Lawn>('POST', '/api/lawns', {
      ...{ id: randomUUID(), client: first.client, address: 'the back', areaM2: 80, areaTyped: '', growsNow: '' },
    })
  ).body
  // Read before, so that what is remembered of both has to be let go.
  expect([await readsOf(first), await readsOf(second)]).toEqual([AS_THE_FIRM, AS_THE_FIRM])
  const spanish = { language: 'es', units: 'metric' }
  const told = await call<Lawn>('PUT', `/api/lawns/${first.id}/client`, spanish)
  expect([told.status, told.body.clientReads]).toEqual([200, spanish])
  expect([await readsOf(first), await readsOf(second)]).toEqual([spanish, spanish])
  // The survey and the plan stand as they were: nothing is saved anew by it.
  expect([told.body.version, told.body.plan.version]).toEqual([first.version, first.plan.version])
  await call('PUT', `/api/lawns/${second.id}/client`, AS_THE_FIRM)
  expect(await readsOf(first)).toEqual(AS_THE_FIRM)
})

test('a language that nobody wrote a sheet in, and a lawn that is not there, are refused', async () => {
  const lawn = await surveyed()
  const wrong = await call('PUT', `/api/lawns/${lawn.id}/client`, { language: 'fr', units: 'feet' })
  expect([wrong.status, Object.keys(wrong.body.error.fields ?? {}).sort()]).toEqual([422, ['language', 'units']])
  expect((await call('PUT', `/api/lawns/${randomUUID()}/client`, AS_THE_FIRM)).status).toBe(404)
})
