import { expect, test } from 'vitest'
import { groundOf, jobOf } from '#contract/lawn'
import { planJob } from '#core/job/planJob'
import { toDay } from '#core/measure/calendar'
import { aFirm, aPlannedLawn } from '../../../contract/test/plannedLawn'
import { aLook, ZONE_ID } from '../../../contract/test/looks'
import type { Waiting } from '../device'
import { keptPath, pathsOfLawn } from '../keptPaths'
import { withWaiting } from '../waiting'

const lawn = aPlannedLawn(aLook())
const waits = (change: Partial<Waiting>): Waiting => ({
  id: 'a',
  kind: 'seen',
  lawnId: lawn.id,
  jobId: lawn.job.id,
  by: 'me',
  path: '',
  body: { id: 'a', kind: 'height', seenOn: '2026-09-30', zoneId: ZONE_ID, heightMm: 40, note: '' },
  refused: '',
  ...change,
})
const mark = waits({
  id: 'm',
  kind: 'mark',
  body: { id: 'm', task: 'sow', doneOn: '2026-09-18', share: 1, passed: true },
})

test('a lawn has what waits on the device, by who made it, until the server tells of it', () => {
  const shown = withWaiting(lawn, [waits({}), mark], 'Joss')
  expect(shown.seen).toEqual([expect.objectContaining({ id: 'a', heightMm: 40, savedBy: 'Joss' })])
  expect(shown.done).toEqual([expect.objectContaining({ id: 'm', key: 'sow', doneOn: '2026-09-18', savedBy: 'Joss' })])
  // Once the server has it, it is there once.
  expect(withWaiting(shown, [waits({}), mark], 'Joss')).toBe(shown)
})

test('a visit that waits on the device holds its task as it will when it is sent', () => {
  const visit = waits({
    id: 'v',
    body: {
      id: 'v',
      kind: 'visit',
      seenOn: '2026-10-20',
      zoneId: null,
      task: 'mow',
      answers: { tug: false },
      note: '',
    },
  })
  const mowOf = (of: typeof lawn) =>
    planJob(jobOf(of), groundOf(of), aFirm({ today: toDay('2026-10-20') })).schedule!.tasks.find(
      ({ key }) => key === 'mow',
    )!
  const before = aPlannedLawn(aLook(), { sowOn: toDay('2026-09-18') })
  const shown = withWaiting(before, [{ ...visit, lawnId: before.id, jobId: before.job.id }], 'Joss')
  expect(shown.seen).toEqual([expect.objectContaining({ kind: 'visit', task: 'mow', savedBy: 'Joss' })])
  expect([mowOf(before).stand, mowOf(shown).stand]).toEqual(['wait', 'hold'])
})

test('what is of another job, of another lawn, refused or a photo is not in it', () => {
  const others = [waits({ jobId: 'x' }), waits({ lawnId: 'x' }), waits({ refused: 'no' }), waits({ kind: 'photo' })]
  expect(withWaiting(lawn, others, null)).toBe(lawn)
})

test('what is seen stands in the order of its days', () => {
  const note = (id: string, seenOn: string) =>
    waits({ id, body: { id, kind: 'height', seenOn, zoneId: ZONE_ID, heightMm: 1, note: '' } })
  const shown = withWaiting(lawn, [note('late', '2026-10-02'), note('early', '2026-09-25')], null)
  expect(shown.seen.map(({ id }) => id)).toEqual(['early', 'late'])
})

test('a question is kept under one name however its query is told, and only what a lawn shows is kept', () => {
  expect(keptPath('/api/lawns/x/sill', { job: 'j', coarse: undefined })).toBe('/api/lawns/x/sill?job=j')
  expect(keptPath('/api/lawns/x?job=j')).toBe(keptPath('/api/lawns/x', { job: 'j' }))
  expect(keptPath('/api/outlines', { of: 'b,a', coarse: 'yes' })).toBe('/api/outlines?coarse=yes&of=b%2Ca')
  for (const never of ['/api/people', '/api/me/sessions', '/api/door/sign-in', '/api/stations/x/keys', '/api/stock'])
    expect([never, keptPath(never)]).toEqual([never, undefined])
  expect(pathsOfLawn(lawn)).toEqual([`/api/lawns/${lawn.id}`, `/api/lawns/${lawn.id}?job=${lawn.job.id}`])
  // A second job beside the one it opens with is kept under its own name alone.
  const second = { ...lawn.jobs[0]!, id: 'second', number: 2 }
  const beside = { ...lawn, jobs: [second, ...lawn.jobs], job: { ...lawn.job, ...second } }
  expect(pathsOfLawn(beside)).toEqual([`/api/lawns/${lawn.id}?job=second`])
  expect(pathsOfLawn({ ...beside, jobs: beside.jobs.map((job) => ({ ...job, endedOn: '2026-11-01' })) })).toHaveLength(
    2,
  )
  for (const other of [null, 'text', [], { id: 'x' }, { id: 'x', job: { id: 'j' } }])
    expect(pathsOfLawn(other)).toEqual([])
})
