import { randomUUID } from 'node:crypto'
import { describe, expect, test } from 'vitest'
import { toDay } from '#core/measure/calendar'
import { owner } from '../test/database'
import { added, inView, on, PLACE, useTwoFirms } from '../test/firms'
import { type Author } from './firms'
import { lawnById, saveLook } from './lawns'
import { markDone } from './marks'
import type { ProbeReading } from '#core/soil/probe'
import { addStation, keepReadings, weatherNow } from './stations'

let ours: Author
let theirs: Author
useTwoFirms((a, b) => {
  ;[ours, theirs] = [a, b]
})

describe('a firm that keeps without end', () => {
  test('is told to stop, and nothing of the last is kept', async () => {
    const lawn = await added(ours)
    await owner(
      `insert into marks (firm_id, lawn_id, job_id, id, task, done_on) select $1, $2, $3, gen_random_uuid(),
        'own-' || gen_random_uuid(), '2026-09-01' from generate_series(1, 800)`,
      [ours.firmId, lawn.id, lawn.job.id],
    )
    await expect(markDone(ours, inView(lawn), on('scalp', '2026-09-01'))).rejects.toThrow(/thisJobHasMarks/)
    expect((await lawnById(ours.firmId, lawn.id))!.done).toHaveLength(800)
    const drawn = {
      kind: 'zone',
      points: Array.from({ length: 5000 }, (_, i) => [30 * Math.cos(i / 796), 30 * Math.sin(i / 796)]),
    }
    await owner(
      `insert into site_features (firm_id, lawn_id, id, kind, points) select $1, $2, gen_random_uuid(), 'bed', $3
        from generate_series(1, 24)`,
      [ours.firmId, lawn.id, JSON.stringify(drawn.points)],
    )
    const other = await added(ours)
    const outline = {
      kind: 'bed' as const,
      name: '',
      points: [
        [0, 0],
        [1, 0],
        [1, 1],
      ] as [number, number][],
      holes: [],
      zoneId: null,
      heightM: null,
      radiusM: null,
      depthMm: null,
      located: false,
    }
    await expect(saveLook(ours, other.id, { ...other, features: { [randomUUID()]: outline } })).rejects.toThrow(
      /thePlansOfYour/,
    )
    expect((await lawnById(ours.firmId, other.id))!.version).toBe(other.version)
    await owner(
      `insert into stations (firm_id, name, kind, lat_deg, lon_deg) select $1, 'S' || i, 'imported', 0, 0
        from generate_series(1, 60) i`,
      [ours.firmId],
    )
    await expect(addStation(ours.firmId, { name: 'One more', ...PLACE })).rejects.toThrow(/yourFirmHas60/)
    expect(await addStation(theirs.firmId, { name: 'Theirs', ...PLACE })).toBeDefined()
  })

  test('reads every reading that is noted, and of a logger that reads every minute one an hour and depth', async () => {
    const station = (await addStation(ours.firmId, { name: 'Ridge', ...PLACE }))!
    const reading = (minute: number) => ({
      at: new Date(Date.UTC(2026, 8, 1, 0, minute)).toISOString().slice(0, 16),
      depthMm: 50,
      tempC: 20,
    })
    const probe = async () =>
      (
        JSON.parse(
          (await weatherNow(ours.firmId, station.id, toDay('2026-09-08'), toDay('2026-06-01'))).readings,
        ) as ProbeReading[]
      ).map(({ at }) => at)
    await keepReadings(ours.firmId, station.id, [reading(660), reading(670)])
    expect(await probe()).toEqual(['2026-09-01T11:00', '2026-09-01T11:10'])
    await keepReadings(
      ours.firmId,
      station.id,
      Array.from({ length: 7000 }, (_, i) => reading(i)),
    )
    expect(await probe()).toEqual(Array.from({ length: 117 }, (_, hour) => reading(hour * 60).at))
  })
})
