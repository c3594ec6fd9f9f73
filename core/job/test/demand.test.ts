import { told } from '../../explain/test/told'
import { describe, expect, test } from 'vitest'
import { BLENDS, pureSeed } from '../../seed/blends'
import { feedMatter, kindOf, MATTERS, matterWords, seedMatter, type StockLevels } from '../../materials/stock'
import { toDay } from '../../measure/calendar'
import { PROGRAMME_CODES } from '../decision/programmes'
import { buildSchedule, type Task } from '../schedule/schedule'
import { wantedOf } from '../operations/demand'
import { operationByCode } from '../operations/registry'
import { doneOn, planned, scheduleInput, type Planned } from './ground'

const taskOf = (key: string, stock: StockLevels, of: Planned = {}, done = doneOn()): Task =>
  buildSchedule(scheduleInput({ parts: planned(of), stock, done, skipped: {} })).tasks.find((task) => task.key === key)!
const states = (task: Task) =>
  task.gates.filter(({ source }) => source && told(source.text).startsWith('Shed')).map(({ state }) => state)
const SEED = seedMatter(pureSeed('TF'))

describe('a material', () => {
  test('has one name however it is written, and words for it', () => {
    expect([feedMatter('18-24-12'), feedMatter(' 18 - 24-12 '), feedMatter('potash')]).toEqual([
      'feed 18-24-12',
      'feed 18-24-12',
      undefined,
    ])
    expect(
      seedMatter([
        { grass: 'KBG', massShare: 0.1 },
        { grass: 'TF', massShare: 0.9 },
      ]),
    ).toBe(seedMatter(BLENDS.find(({ code }) => code === 'TF 90 KBG 10')!.parts))
    expect(told(matterWords('feed 10-10-10'))).toBe('10-10-10')
    for (const one of Object.values(MATTERS).flat())
      expect([one.matter, matterWords(one.matter), MATTERS[kindOf(one.matter) as 'seed'].includes(one)]).toEqual([
        one.matter,
        one.name,
        true,
      ])
  })
})

describe('what an operation uses up', () => {
  test('is what its task says, each material once over all parts', () => {
    const { wanted } = taskOf('sow', {})
    expect(wanted).toHaveLength(1)
    // 612 m² at half of 7 lb/1,000 ft² (17.09 g/m²) over 0.98 × 0.85 or as the plan's lot has it.
    expect(wanted[0]!.matter).toBe(SEED)
    const [part] = planned()
    const twice = wantedOf(operationByCode('sow'), [part!, part!], { number: 1, of: 1 })
    expect([twice.length, twice[0]!.amount]).toEqual([1, 2 * wanted[0]!.amount])
    // 612 m² at 5 mm are 3.06 m³ of compost.
    expect(taskOf('cover', {}, { settings: { coverMm: 5, coverMaterial: 'compost' } }).wanted).toEqual([
      { matter: 'cover compost', words: { key: 'materials.compost' }, amount: 3.06 },
    ])
    expect(taskOf('cover', {}, { settings: { coverMm: 1, coverMaterial: 'fleece' } }).wanted).toEqual([])
  })
  test('of a dressing in lifts adds up to all of its soil', () => {
    const ground: Planned = {
      programme: 'level',
      zone: { grass: 'BER', sward: 'HBER', deepestMm: 34, hollowM3: 0.4, hollowM2: 25 },
    }
    const tasks = buildSchedule(scheduleInput({ parts: planned(ground) })).tasks.filter(
      ({ operation }) => operation.code === 'lift',
    )
    const soil = tasks.flatMap(({ wanted }) => wanted)
    expect(tasks).toHaveLength(3)
    expect(new Set(soil.map(({ matter }) => matter))).toEqual(new Set(['soil topsoil']))
    // 0.4 m³ and 15 % for settling.
    expect(soil.reduce((sum, { amount }) => sum + amount, 0)).toBeCloseTo(0.46, 6)
  })
  test('is never negative and always of a kind that a shed keeps, in every programme', () => {
    for (const programme of PROGRAMME_CODES) {
      const { tasks } = buildSchedule(
        scheduleInput({ parts: planned({ programme, zone: { deepestMm: 30, hollowM3: 0.3, hollowM2: 20 } }) }),
      )
      for (const { key, wanted } of tasks)
        for (const { amount, matter } of wanted)
          expect([programme, key, amount > 0, ['seed', 'feed', 'cover', 'soil'].includes(kindOf(matter))]).toEqual([
            programme,
            key,
            true,
            true,
          ])
    }
  })
})

describe('the shed', () => {
  const need = taskOf('sow', {}).wanted[0]!.amount
  test('says nothing of what nobody keeps a book of', () => {
    expect(states(taskOf('sow', {}))).toEqual([])
  })
  test('holds enough, or says how much is short, until it is ordered', () => {
    expect(states(taskOf('sow', { [SEED]: need }))).toEqual(['met'])
    // What other open jobs will use is not there for this one.
    const shared = buildSchedule(
      scheduleInput({ stock: { [SEED]: need + 10 }, spokenFor: { [SEED]: 11 }, skipped: {} }),
    ).tasks.find(({ key }) => key === 'sow')!
    expect(shared.gates.find(({ code }) => code === 'stock')).toMatchObject({
      state: 'risk',
      text: {
        key: 'operations.stockText',
        values: { short: { value: expect.closeTo(1, 9) }, told: { values: { spoken: { value: 11 } } } },
      },
    })
    const short = taskOf('sow', { [SEED]: need - 2 })
    expect(states(short)).toEqual(['risk'])
    expect(short.gates.find(({ code }) => code === 'stock')!.text.values!.short).toMatchObject({
      quantity: 'massKg',
      value: expect.closeTo(2, 6) as number,
    })
    expect(states(taskOf('sow', { [SEED]: need - 2 }, {}, doneOn(['order', toDay('2026-09-04')])))).toEqual(['waiting'])
    // A book that is below nothing is short of all of it, not of more.
    expect(taskOf('sow', { [SEED]: -5 }).gates.find(({ code }) => code === 'stock')!.text.values!.short).toMatchObject({
      value: expect.closeTo(need, 6) as number,
    })
  })
})
