import { randomUUID } from 'node:crypto'
import { beforeEach, describe, expect, test } from 'vitest'
import { markSchema, type NewMark } from '#contract/work'
import { toDay } from '#core/measure/calendar'
import type { Matter } from '#core/materials/stock'
import { newFirm, owner, useTestDatabase } from '../test/database'
import { inView } from '../test/firms'
import type { Lawn } from '#contract/lawn'
import type { Author } from './firms'
import { addLawn, removeLawn, lawnById } from './lawns'
import { addStock, editStock, moveStock, movesOfStock, stockOf } from './stock'
import { markDone, undoMark } from './marks'
import { countedOf } from './counted'

useTestDatabase()
let us: Author
let seed: string | undefined
let lawn: Lawn
const DAY = toDay('2026-09-08')
const told = (change: Partial<NewMark> = {}): NewMark =>
  markSchema.parse({ id: randomUUID(), task: 'sow', doneOn: '2026-09-08', ...change })
const line = async (amount = 20, matter: Matter = 'seed TF 100') => {
  const id = randomUUID()
  await addStock(us, { id, matter, name: 'a lot', day: DAY, amount })
  return id
}
const onHand = async (id: string) => (await stockOf(us.firmId)).find((item) => item.id === id)!.onHand

beforeEach(async () => {
  await owner('delete from firms')
  us = await newFirm('Ours')
  seed = await line()
  lawn = (await addLawn(us, {
    id: randomUUID(),
    client: 'Odell',
    address: '',
    areaM2: 600,
    areaTyped: '',
    growsNow: '',
  }))!
})

describe('the stock book', () => {
  test('begins with what is there, adds what came in and takes a count at its word', async () => {
    await moveStock(us, seed!, { id: randomUUID(), why: 'came', day: DAY, amount: 5, note: 'two bags' })
    expect(await onHand(seed!)).toBe(25)
    await moveStock(us, seed!, { id: randomUUID(), why: 'counted', day: DAY, amount: 22, note: '' })
    expect(await onHand(seed!)).toBe(22)
    expect((await movesOfStock(us.firmId, seed!, 10)).map(({ why, amount, note }) => [why, amount, note])).toEqual([
      ['counted', -3, ''],
      ['came', 5, 'two bags'],
      ['counted', 20, ''],
    ])
  })
  test('writes nothing twice that was sent twice, and no two counts against each other', async () => {
    const move = { id: randomUUID(), why: 'came' as const, day: DAY, amount: 5, note: '' }
    await Promise.all([
      moveStock(us, seed!, move),
      moveStock(us, seed!, move),
      addStock(us, { id: seed!, matter: 'seed TF 100', name: 'a lot', day: DAY, amount: 20 }),
    ])
    expect(await onHand(seed!)).toBe(25)
    await Promise.all(
      [7, 7, 7].map((amount) => moveStock(us, seed!, { id: randomUUID(), why: 'counted', day: DAY, amount, note: '' })),
    )
    expect(await onHand(seed!)).toBe(7)
  })
  test('adds lines of one material for the plans, and leaves out what is put away', async () => {
    const [second, feed] = [await line(3), await line(50, 'feed 18-24-12')]
    expect((await countedOf(us.firmId)).stock).toEqual({ 'seed TF 100': 23, 'feed 18-24-12': 50 })
    expect(await editStock(us.firmId, second, { version: 1, name: 'old lot', putAway: true })).toBe(true)
    expect(await editStock(us.firmId, second, { version: 1, name: 'somebody else', putAway: false })).toBe(false)
    await editStock(us.firmId, feed, { version: 1, name: 'starter', putAway: true })
    expect((await countedOf(us.firmId)).stock).toEqual({ 'seed TF 100': 20 })
  })
  test('counts nothing where very much came in, and says no more of a line than any shed holds', async () => {
    for (let i = 0; i < 3; i++)
      expect(await moveStock(us, seed!, { id: randomUUID(), why: 'came', day: DAY, amount: 100_000, note: '' })).toBe(
        true,
      )
    expect(await moveStock(us, seed!, { id: randomUUID(), why: 'counted', day: DAY, amount: 0, note: '' })).toBe(true)
    expect(await onHand(seed!)).toBe(0)
    for (let i = 0; i < 10; i++)
      await moveStock(us, seed!, { id: randomUUID(), why: 'came', day: DAY, amount: 100_000, note: '' })
    expect(await moveStock(us, seed!, { id: randomUUID(), why: 'came', day: DAY, amount: 1, note: '' })).toBe(false)
  })
  test('under an id that is another firm’s is not added, and says so', async () => {
    const them = await newFirm('Theirs')
    expect(await addStock(them, { id: seed!, matter: 'seed TF 100', name: 'mine', day: DAY, amount: 1 })).toBe(false)
    expect(await stockOf(them.firmId)).toEqual([])
  })
  test('is its firm’s alone', async () => {
    const them = await newFirm('Theirs')
    expect([
      await stockOf(them.firmId),
      await movesOfStock(them.firmId, seed!, 10),
      (await countedOf(them.firmId)).stock,
    ]).toEqual([[], [], {}])
    await expect(
      moveStock(them, seed!, { id: randomUUID(), why: 'came', day: DAY, amount: 5, note: '' }),
    ).rejects.toMatchObject({ code: '23503' })
    await expect(markDone(us, inView(lawn), told({ used: { [randomUUID()]: 1 } }))).rejects.toMatchObject({
      code: '23503',
    })
    // A mark that cannot be kept whole is not kept in part.
    expect((await lawnById(us.firmId, lawn.id))!.done).toEqual([])
  })
})

describe('work that is marked', () => {
  test('takes what it used out of the shed once, and gives it back when it is undone', async () => {
    const mark = told({ massKg: 12, used: { [seed!]: 12 } })
    await Promise.all([1, 2, 3].map(() => markDone(us, inView(lawn), mark)))
    expect(await onHand(seed!)).toBe(8)
    expect((await lawnById(us.firmId, lawn.id))!.done[0]).toMatchObject({ massKg: 12, used: { [seed!]: 12 } })
    expect((await movesOfStock(us.firmId, seed!, 10))[0]).toMatchObject({
      why: 'used',
      amount: -12,
      client: 'Odell',
      savedBy: 'Somebody of Ours',
    })
    await Promise.all([1, 2].map(() => undoMark(us.firmId, lawn.job.id, mark.id)))
    expect(await onHand(seed!)).toBe(20)
  })
  test('over several days uses what each part used; refused, it changes nothing; one part taken back gives back its own', async () => {
    const second = told({ doneOn: toDay('2026-09-09'), share: 0.4, used: { [seed!]: 5 } })
    await markDone(us, inView(lawn), told({ share: 0.5, used: { [seed!]: 6 } }))
    await markDone(us, inView(lawn), second)
    expect(await onHand(seed!)).toBe(9)
    expect(
      await markDone(us, inView(lawn), told({ doneOn: toDay('2026-09-09'), share: 0.9, used: { [seed!]: 1 } })),
    ).toBe('more than the whole')
    expect(await onHand(seed!)).toBe(9)
    await undoMark(us.firmId, lawn.job.id, second.id)
    expect(await onHand(seed!)).toBe(14)
  })
  test('of a lawn that is deleted stays used', async () => {
    await markDone(us, inView(lawn), told({ used: { [seed!]: 12 } }))
    await removeLawn(us.firmId, lawn.id)
    expect(await onHand(seed!)).toBe(8)
    expect((await movesOfStock(us.firmId, seed!, 10))[0]).toMatchObject({
      why: 'used',
      amount: -12,
      lawnId: null,
      client: null,
    })
  })
  test('teaches the pace of the ground it was done on, not of the whole lawn', async () => {
    await markDone(us, inView(lawn), told({ task: 'loosen', hours: 2, areaM2: 30 }))
    expect((await countedOf(us.firmId)).pace.loosen).toEqual({ m2PerCrewH: 15, jobs: 1 })
  })
})
