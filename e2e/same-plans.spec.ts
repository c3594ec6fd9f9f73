import { readFileSync } from 'node:fs'
import { gunzipSync } from 'node:zlib'
import { fileURLToPath } from 'node:url'
import { build } from 'esbuild'
import fc from 'fast-check'
import { PROGRAMME_CODES } from '#core/job/decision/programmes'
import { PRACTICE_CODES, PRACTICES } from '#core/job/decision/practices'
import { NO_WORK } from '#core/job/nothingDecided'
import { ADDABLE, OPERATIONS } from '#core/job/operations/registry'
import { addDays, toDay } from '#core/measure/calendar'
import { planInBrief, type Kept, type RandomJob } from '../core/job/test/keptLawns'
import { expect, test } from './demo'

const ROOT = fileURLToPath(new URL('..', import.meta.url))
const kept = JSON.parse(gunzipSync(readFileSync(`${ROOT}core/job/test/demoLawns.json.gz`)).toString()) as Kept
const TODAY = toDay('2026-09-08')
const day = (from: number, to: number) => fc.integer({ min: from, max: to }).map((days) => addDays(TODAY, days))
const codes = OPERATIONS.map(({ code }) => code)

/** Any job on any of the demo's lawns: programme, day, practices, what was added, left out, chosen, and done. */
const anyJob: fc.Arbitrary<RandomJob> = fc.record({
  lawn: fc.integer({ min: 0, max: kept.lawns.length - 1 }),
  firm: fc.record({
    today: day(0, 40),
    workingDays: fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 1 }),
  }),
  job: fc.record({
    programme: fc.option(fc.constantFrom(...PROGRAMME_CODES)),
    sowOn: fc.option(day(-10, 90), { freq: 9 }),
    settings: fc.constant(null),
    practices: fc.dictionary(fc.constantFrom(...PRACTICE_CODES), fc.nat(4), { maxKeys: 4 }).map((chosen) =>
      Object.fromEntries(
        Object.entries(chosen).map(([question, n]) => {
          const { choices } = PRACTICES[question as keyof typeof PRACTICES]
          return [question, choices[n % choices.length]!.code]
        }),
      ),
    ) as fc.Arbitrary<NonNullable<RandomJob['job']['practices']>>,
    work: fc
      .record({
        added: fc.subarray([...ADDABLE], { maxLength: 3 }),
        skipped: fc.dictionary(fc.constantFrom(...codes), fc.constant('not here'), { maxKeys: 2 }),
        pins: fc.dictionary(fc.constantFrom(...codes), day(-5, 60), { maxKeys: 2 }),
        days: fc.dictionary(fc.constantFrom(...codes), day(-20, 60), { maxKeys: 4 }),
      })
      .map((work) => ({ ...NO_WORK, ...work })),
    done: fc.array(
      fc.record({
        key: fc.constantFrom(...codes),
        doneOn: day(-20, 0),
        share: fc.constantFrom(0.4, 1),
        passed: fc.boolean(),
      }),
      { maxLength: 4 },
    ),
  }),
})

/** Where two plans differ: numbers to nine digits, since sine and logarithm differ in the last bit; the rest exactly. */
function differences(a: unknown, b: unknown, path = ''): string[] {
  if (typeof a === 'number' && typeof b === 'number')
    return Math.abs(a - b) <= 1e-9 * Math.max(1, Math.abs(a)) ? [] : [`${path}: ${a} ${b}`]
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null)
    return Object.is(a, b) ? [] : [`${path}: ${String(a)} ${String(b)}`]
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].flatMap((key) =>
    differences((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key], `${path}/${key}`),
  )
}

test('two hundred jobs at random are planned alike in Node and in Chromium', async ({ page }) => {
  const jobs = fc.sample(anyJob, 200)
  const { outputFiles } = await build({
    stdin: { contents: `export * from './core/job/test/keptLawns'`, resolveDir: ROOT, loader: 'ts' },
    bundle: true,
    format: 'iife',
    globalName: 'plans',
    write: false,
    alias: { '#core': `${ROOT}core`, '#contract': `${ROOT}contract` },
  })
  await page.goto('about:blank')
  await page.addScriptTag({ content: outputFiles[0]!.text })
  const there = await page.evaluate(
    ([of, all]) => {
      const { planInBrief: plan } = (globalThis as unknown as { plans: { planInBrief: typeof planInBrief } }).plans
      return all.map((job) => JSON.stringify(plan(of, job)))
    },
    [kept, jobs] as const,
  )
  const here = jobs.map((job) => JSON.stringify(planInBrief(kept, job)))
  // They are plans: most have tasks, and no two of them are all alike.
  expect(here.filter((plan) => plan.includes('"key"')).length).toBeGreaterThan(100)
  expect(new Set(here).size).toBeGreaterThan(150)
  const found = here.flatMap((plan, i) =>
    differences(JSON.parse(plan), JSON.parse(there[i]!)).map((line) => `${i} ${line}`),
  )
  expect(found).toEqual([])
})
