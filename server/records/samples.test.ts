import { randomUUID } from 'node:crypto'
import { expect, test } from 'vitest'
import { lookSchema } from '#contract/look'
import { newLawnSchema } from '#contract/newLawn'
import { markSchema } from '#contract/work'
import { toDay } from '#core/measure/calendar'
import { missingOf } from '#contract/lawn'
import { sampleLawns } from '../samples/sampleLawns'
import { english } from '../utils/english'
import { inView, NEW_LAWN, useTwoFirms } from '../test/firms'
import type { Author } from './firms'
import { addLawn, lawnById } from './lawns'
import { listedLawns } from './listed'
import { markDone } from './marks'
import { addSamples, removeSamples } from './samples'
import { addStock, stockOf } from './stock'

let [us, them]: Author[] = []
useTwoFirms((ours, theirs) => ([us, them] = [ours, theirs]))
const TODAY = toDay('2026-09-08')
const samplesOf = (by: Author, grows: 'cool' | 'warm' | 'both' = 'cool') =>
  sampleLawns({ id: by.firmId, units: 'us', grows }, TODAY, english)
const listOf = async (by: Author): Promise<{ id: string; sample: boolean }[]> =>
  JSON.parse(await listedLawns(by.firmId, 'any', { first: 60, from: 0 }))

test('samples are lawns as a firm could have typed them, surveyed whole but for their place', async () => {
  for (const grows of ['cool', 'warm', 'both'] as const)
    for (const { lawn } of samplesOf(us!, grows)) expect(newLawnSchema.parse(lawn)).toEqual(lawn)
  expect(await addSamples(us!, samplesOf(us!))).toBe(3)
  for (const { lawn } of samplesOf(us!)) {
    const kept = (await lawnById(us!.firmId, lawn.id))!
    expect(lookSchema.safeParse(kept).success).toBe(true)
    expect(missingOf(kept)).toEqual([])
  }
})

test('loaded by two at once they are there once; what somebody changed of one stays', async () => {
  await Promise.all([addSamples(us!, samplesOf(us!)), addSamples(us!, samplesOf(us!))])
  expect((await listOf(us!)).length).toBe(3)
  const [{ lawn }] = samplesOf(us!) as [ReturnType<typeof samplesOf>[number]]
  const before = (await lawnById(us!.firmId, lawn.id))!.version
  expect(await addSamples(us!, samplesOf(us!))).toBe(0)
  expect((await lawnById(us!.firmId, lawn.id))!.version).toBe(before)
})

test('removed they go together, with what was tried on them; real lawns and other firms keep theirs', async () => {
  const real = (await addLawn(us!, { id: randomUUID(), ...NEW_LAWN }))!
  await addSamples(us!, samplesOf(us!))
  await addSamples(them!, samplesOf(them!))
  const seed = randomUUID()
  await addStock(us!, { id: seed, matter: 'seed TF 100', name: 'a lot', day: TODAY, amount: 20 })
  const tried = (await lawnById(us!.firmId, samplesOf(us!)[0]!.lawn.id))!
  const mark = { id: randomUUID(), task: 'sow', doneOn: TODAY, used: { [seed]: 5 } }
  await markDone(us!, inView(tried), markSchema.parse(mark))
  expect((await stockOf(us!.firmId))[0]!.onHand).toBe(15)

  expect((await listOf(us!)).filter(({ sample }) => sample).length).toBe(3)
  expect(await removeSamples(us!.firmId)).toBe(3)
  expect((await listOf(us!)).map(({ id }) => id)).toEqual([real.id])
  expect((await stockOf(us!.firmId))[0]!.onHand).toBe(20)
  expect((await listOf(them!)).length).toBe(3)
  expect(await removeSamples(us!.firmId)).toBe(0)
})
