import { describe, expect, test } from 'vitest'
import { addDays, type Day } from '../../measure/calendar'
import { buildSchedule } from '../schedule/schedule'
import { planned, scheduleInput } from './ground'

/** Days that a plan with watering visits says it has too few hands for. */
function laid(hoursADay: number) {
  const parts = planned({ practices: { wateringRounds: 'twice a day' } })
  const { tasks, troubles } = buildSchedule(scheduleInput({ parts, hoursADay }))
  const days = troubles.flatMap(({ text }) =>
    text.key === 'schedule.takesCrewHoursAnd' ? [(text.values!.day as { day: Day }).day] : [],
  )
  return { days, rounds: tasks.find(({ operation }) => operation.overDays)! }
}

describe('days that ask for more hands than the firm has', () => {
  test('take of visits that go over weeks what each of their days does', () => {
    const { rounds } = laid(99)
    // 36 visits of 0.4 h are 14.4 h, and 0.8 h a day.
    expect(rounds.hours.value).toBeCloseTo(14.4, 9)
    expect(laid(1).days).not.toContain(rounds.to)
    expect(laid(0.7).days).toContain(rounds.to)
    expect(laid(0.7).days).toContain(addDays(rounds.to, 1))
  })

  test('are said of work that is done on one day', () => {
    const { tasks } = buildSchedule(scheduleInput())
    const sow = tasks.find(({ operation }) => operation.anchors)!
    const onIt = tasks.filter(({ to, operation }) => to === sow.to && operation.mark !== 'call')
    const hours = onIt.reduce((sum, task) => sum + task.hours.value, 0)
    expect(laid(hours * 1.01).days).not.toContain(sow.to)
    expect(laid(hours * 0.99).days).toContain(sow.to)
  })
})
