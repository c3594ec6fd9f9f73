import { expect, test } from 'vitest'
import { newLawnSchema } from '#contract/newLawn'
import { fieldsOf, problemOf, saving } from '../api'

const refused = (error: object) => ({ data: { error } })

test('an answer of the server is told in its own words, with what somebody else saved', () => {
  expect(problemOf(refused({ code: 'conflict', message: 'Saved meanwhile.', theirs: { version: 2 } }))).toEqual({
    code: 'conflict',
    message: 'Saved meanwhile.',
    fields: {},
    theirs: { version: 2 },
  })
  expect(
    problemOf(refused({ code: 'invalid', message: 'Look again.', fields: { area: 'Too large.' } })).fields,
  ).toEqual({ area: 'Too large.' })
})

test('whatever else goes wrong on the way is no answer, and nothing is said to be saved', () => {
  // A proxy's page, a line that broke, a half answer.
  for (const error of [
    new TypeError('fetch failed'),
    { data: '<html>502</html>' },
    refused({ code: 'x' }),
    { data: { error: null } },
    {},
  ]) {
    const { code, message } = problemOf(error)
    expect([code, message]).toEqual(['unreachable', expect.stringContaining('What you entered is still here')])
  }
})

test('a save tells how it went instead of throwing', async () => {
  expect(await saving(async () => 1)).toEqual({ ok: true })
  expect(
    await saving(async () => {
      throw refused({ code: 'full', message: 'No room.' })
    }),
  ).toMatchObject({ ok: false, problem: { code: 'full', message: 'No room.' } })
})

test('each field keeps its first message, under its path', () => {
  const parsed = newLawnSchema.safeParse({ id: 'x', client: '', address: 'a', areaM2: -1, areaTyped: '', growsNow: 7 })
  expect(parsed.success).toBe(false)
  expect(Object.keys(fieldsOf(parsed.error!)).sort()).toEqual(['areaM2', 'client', 'growsNow', 'id'])
})
