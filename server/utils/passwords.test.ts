import { expect, test } from 'vitest'
import { hashPassword, passwordFits } from './passwords'

test('many passwords at once take turns, and each is judged by itself', async () => {
  const hash = await hashPassword('the long one')
  const tries = ['the long one', 'another', 'the long one', '', 'the long one', 'nobody’s']
  const fits = await Promise.all(tries.map((password, i) => passwordFits(i === 5 ? null : hash, password)))
  expect(fits).toEqual([true, false, true, false, true, false])
  // One that fails hands its place on too.
  await Promise.allSettled(Array.from({ length: 4 }, () => passwordFits('no hash at all', 'x')))
  expect(await passwordFits(hash, 'the long one')).toBe(true)
})
