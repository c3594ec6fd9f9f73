import { told } from '../../explain/test/told'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, test } from 'vitest'
import { addDays, daysBetween, toDay } from '../../measure/calendar'
import { PROGRAMME_CODES, PROGRAMMES } from '../decision/programmes'
import { GROWS_FROM_C } from '../operations/groundGates'
import { LAGS } from '../operations/lags'
import { operationsOf } from '../operations/planned'
import { ADDABLE, anchorCode, codeOf, keyOf, numberOf, OPERATIONS, operationsIn } from '../operations/registry'
import { buildSchedule } from '../schedule/schedule'
import { planned, scheduleInput } from './ground'

const ROOT = fileURLToPath(new URL('../../..', import.meta.url))
const CODES: readonly string[] = OPERATIONS.map(({ code }) => code)

describe('every definition', () => {
  test('has a code and a place of its own', () => {
    expect(new Set(CODES).size).toBe(CODES.length)
    expect(new Set(OPERATIONS.map(({ order }) => order)).size).toBe(CODES.length)
    expect(CODES).not.toContain('own')
  })

  test.each(OPERATIONS.map((one) => [one.code, one] as const))('%s is whole', (code, one) => {
    // A sentence of why, a button, and something to be in: a programme, or what may be added.
    expect(told(one.why)).toMatch(/[.?]$/)
    expect(told(one.name) && told(one.done)).toBeTruthy()
    expect(one.programmes.length > 0 || one.addable).toBeTruthy()
    // Whatever can hurt says so: what is sprayed, and steel that goes into the ground.
    if (one.mark === 'spray' || one.breaksGround) expect([code, Boolean(one.caution)]).toEqual([code, true])
    if (one.check) expect(told(one.check)).toMatch(/[.?]$/)
    // Turns come with what they are called and what lies between them.
    expect(
      [Boolean(one.times), Boolean(one.turnName), Boolean(one.between)].every((has, _, [first]) => has === first),
    ).toBe(true)
    // What is used up is of the kind that it says.
    if (one.demand) expect(one.uses).toBeDefined()
    for (const other of one.after ?? []) expect(CODES).toContain(other)
    for (const { from, to, why, least } of one.lags ?? []) {
      expect([CODES.includes(from), CODES.includes(to), from === code || to === code]).toEqual([true, true, true])
      expect([told(why).length > 0, least !== undefined]).toEqual([true, true])
    }
  })

  test('is told on the ground of every programme that has it', () => {
    for (const programme of PROGRAMME_CODES) {
      const parts = planned({ programme, zone: { deepestMm: 40, hollowM3: 0.5, hollowM2: 25, grubs: 'many' } })
      const extent = { soilTested: false, dryGround: true, autumnAhead: true, dormant: false, leavesFall: true }
      for (const { operation, number, of } of operationsOf(parts, { ...extent, added: ADDABLE })) {
        const { settings, hours } = operation.brief(parts[0]!, { number, of })
        expect([operation.code, told(settings).length > 0, hours.value > 0]).toEqual([operation.code, true, true])
      }
    }
  })

  test('of lags no two say the same of the same, unless one of them holds by practice or plan', () => {
    const always = LAGS.filter(({ when }) => !when).map(({ from, to }) => `${from} ${to}`)
    expect(new Set(always).size).toBe(always.length)
  })

  test('keys lead back to it, its turns and nobody else', () => {
    for (const code of CODES) {
      expect([codeOf(keyOf(code)), numberOf(keyOf(code))]).toEqual([code, 1])
      expect([codeOf(keyOf(code, 3)), numberOf(keyOf(code, 3))]).toEqual([code, 3])
    }
    for (const code of PROGRAMME_CODES)
      expect(operationsIn(PROGRAMMES[code]).map((one) => one.code)).toContain(anchorCode(PROGRAMMES[code].anchor))
  })
})

/** Files of a room with their text, tests left out. */
function* sources(folder: string): Generator<[path: string, text: string]> {
  for (const entry of readdirSync(join(ROOT, folder), { withFileTypes: true })) {
    const path = `${folder}/${entry.name}`
    if (entry.isDirectory()) {
      if (entry.name !== 'test' && path !== 'core/job/operations') yield* sources(path)
    } else if (/\.(ts|vue)$/.test(entry.name) && !entry.name.endsWith('.test.ts'))
      yield [path, readFileSync(join(ROOT, path), 'utf8')]
  }
}

test('no code outside operations/ names an operation', () => {
  // Words that are nothing but an operation; the others are those of materials, programmes and questions too.
  const only = CODES.filter((code) => /[A-Z0-9]/.test(code) && code !== 'soilTest').concat(
    'dethatch',
    'nip',
    'preventer',
    'regulator',
    'loosen',
    'relay',
  )
  const asWord = new RegExp(`'(${only.join('|')})(-\\d)?'`)
  // Where a key or a code is compared or looked up, every one of them is named.
  const asKey = new RegExp(
    `(operation\\.code|key|task|task|[^.\\w]code)\\)? (===|!==) '(${CODES.join('|')})'|\\.(has|get)\\('(${CODES.join('|')})'\\)`,
  )
  const found = ['core', 'contract', 'server', 'app'].flatMap((room) =>
    [...sources(room)].flatMap(([path, text]) =>
      text
        .split('\n')
        .flatMap((line, i) => (asWord.test(line) || asKey.test(line) ? [`${path}:${i + 1} ${line.trim()}`] : [])),
    ),
  )
  expect(found).toEqual([])
})

describe('what was added last', () => {
  const extent = scheduleInput().extent
  const run = (change: Parameters<typeof scheduleInput>[0]) => buildSchedule(scheduleInput(change)).tasks
  const codes = (change: Parameters<typeof scheduleInput>[0]) => run(change).map(({ key }) => key)

  test('leaves come off seedlings where trees drop them, after they are up and before the job is closed', () => {
    expect(codes({})).not.toContain('removeLeaves')
    const tasks = run({ extent: { ...extent, leavesFall: true } })
    const day = (key: string) => tasks.find((task) => task.key === key)!.to
    expect(day('removeLeaves') > day('green') && day('removeLeaves') <= day('close')).toBe(true)
    // Five weeks after a sowing of 24 September is the end of October; it shares a visit where one is near.
    expect(day('removeLeaves') >= '2026-10-19' && day('removeLeaves') <= '2026-11-05').toBe(true)
  })

  test('grubs that the survey counts are treated before the ground is opened, and few of them are not', () => {
    const of = (grubs: 'none' | 'few' | 'many') => ({ parts: planned({ zone: { grubs } }), sowOn: toDay('2026-10-15') })
    expect([codes(of('none')), codes(of('few'))].flat()).not.toContain('insectTreatment')
    const tasks = run(of('many'))
    const [treated, torn] = ['insectTreatment', 'dethatch'].map((key) => tasks.find((task) => task.key === key)!)
    expect(treated!.to < addDays(torn!.to, -1)).toBe(true)
    expect(told(treated!.operation.caution!)).toContain('The label is the law')
  })

  test('winter colour gives way in spring, once the soil is warm enough for what lies below it', () => {
    const winter = (soilC: number) =>
      run({
        parts: planned({ programme: 'winter', zone: { grass: 'BER', sward: 'BER' } }),
        sowOn: toDay('2026-10-05'),
        soilOn: () => soilC,
      }).find(({ key }) => key === 'springGreenUp')!
    expect(winter(20).to > '2027-04-01' && winter(20).to < '2027-06-15').toBe(true)
    // Bermuda grows from 18 °C on, ryegrass from 10 °C: it is the bermuda that is waited for.
    const growing = (soilC: number) => winter(soilC).gates.find(({ text }) => /growing|dormant/.test(told(text)))!.state
    expect([growing(GROWS_FROM_C.warm + 1), growing(GROWS_FROM_C.warm - 1), growing(12)]).toEqual([
      'met',
      'risk',
      'hold',
    ])
  })

  test('in spring ryegrass is mown low, then thinned, then the turf below is fed; it is sprayed out only where asked for', () => {
    // Nitrogen after green-up and not before it: turf handbooks on spring transition, from memory.
    const spring = (added: string[]) =>
      run({
        parts: planned({ programme: 'winter', zone: { grass: 'BER', sward: 'BER' } }),
        sowOn: toDay('2026-10-05'),
        // Ten degrees in January, thirty in July: turf below wakes at 18 °C by the first of May.
        soilOn: (day) => 20 - 10 * Math.cos(((daysBetween(toDay('2027-01-15'), day) % 365) / 365) * 2 * Math.PI),
        extent: { ...scheduleInput().extent, added },
      })
    const keys = ['springGreenUp', 'thinRyegrass', 'springFeed']
    const tasks = spring([]).filter(({ key }) => keys.includes(key))
    expect(tasks.map(({ key }) => key)).toEqual(keys)
    const [low, thin, feed] = tasks as [(typeof tasks)[0], (typeof tasks)[0], (typeof tasks)[0]]
    expect(daysBetween(low.to, thin.to)).toBeGreaterThanOrEqual(5)
    expect(daysBetween(low.to, feed.to)).toBeGreaterThanOrEqual(21)
    expect(feed.gates.filter(({ code }) => code === 'summer')).toEqual([])
    expect(spring([]).map(({ key }) => key)).not.toContain('sprayRyegrass')
    const spray = spring(['sprayRyegrass']).find(({ key }) => key === 'sprayRyegrass')!
    expect(told(spray.operation.caution!)).toContain('The label is the law')
    expect(spray.to > low.to).toBe(true)
  })
})
