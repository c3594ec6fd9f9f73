import { expect, test } from 'vitest'
import { compareDays } from '../compare'

const years = (...letters: string[]) => ({ grain: letters })

test('two days are compared on the same years, and only what chance does not explain is a difference', () => {
  // By hand: of ten years, the second run of days is worse in six. Mean 0.6, s = 0.5164, half width 1.645 · 0.5164 / √10 = 0.2686.
  const good = 'ggggggg'
  const bad = 'hhhhhhh'
  const six = years(...Array.from({ length: 10 }, (_, y) => good + (y < 6 ? bad : good)))
  expect(compareDays(six, 3, 10)).toEqual({ of100: 60, real: true })
  expect(compareDays(six, 10, 3)).toEqual({ of100: -60, real: true })
  // One of ten: mean 0.1, s = 0.3162, half width 0.1645.
  const one = years(...Array.from({ length: 10 }, (_, y) => good + (y < 1 ? bad : good)))
  expect(compareDays(one, 3, 10)).toEqual({ of100: 10, real: false })
})

test('a day against itself is no difference, and days that are not worked out are not compared', () => {
  const some = years('gghhg', 'hhggg', 'ghghg')
  expect(compareDays(some, 2, 2)).toEqual({ of100: 0, real: false })
  expect(compareDays(some, 0, 5)).toBeUndefined()
  expect(compareDays(some, -1, 2)).toBeUndefined()
})
