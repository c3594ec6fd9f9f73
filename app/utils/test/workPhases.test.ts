import { expect, test } from 'vitest'
import type { Task } from '#core/job/schedule/schedule'
import { phasesOf } from '../workPhases'

const task = (key: string, to: string, done: boolean): Task =>
  ({ key, from: to, to, done, operation: { phase: 'work' } }) as unknown as Task

test('what is done stands in a line a day, the last first, and what was just marked stays a card', () => {
  const tasks = [
    task('scalp', '2026-09-01', true),
    task('dethatch', '2026-09-03', true),
    task('core', '2026-09-03', true),
    task('sow', '2026-09-08', true),
    task('feed', '2026-09-08', false),
  ]
  const [phase] = phasesOf(tasks, ({ key }) => key !== 'sow')
  expect(phase!.done.map(({ day, tasks: of }) => [day, of.map(({ key }) => key)])).toEqual([
    ['2026-09-03', ['dethatch', 'core']],
    ['2026-09-01', ['scalp']],
  ])
  expect(phase!.cards.map((group) => group.map(({ key }) => key))).toEqual([['sow'], ['feed']])
  // Every task stands in one place and in one alone.
  expect(phase!.done.flatMap(({ tasks: of }) => of).length + phase!.cards.flat().length).toBe(tasks.length)
})
