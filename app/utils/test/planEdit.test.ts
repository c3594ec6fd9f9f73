import { reactive, ref, toRaw } from 'vue'
import { beforeEach, describe, expect, test, vi } from 'vitest'
import type { Look } from '#contract/look'
import type { PointM } from '#core/site/geometry'
import { drawnAreaM2 } from '#core/site/drawn'
import { aLook, aZone, ZONE_ID } from '../../../contract/test/looks'
import { usePlanEdit } from '../../composables/usePlanEdit'

const box = (x: number, y: number, w: number, h: number): PointM[] => [
  [x, y],
  [x + w, y],
  [x + w, y + h],
  [x, y + h],
]
const shape = (points: PointM[], holes: PointM[][] = []) => ({ points, holes })

let draft: Look
const zone = ref<string | null>(null)
let edit: ReturnType<typeof usePlanEdit>
let zones = 0

beforeEach(() => {
  draft = reactive(aLook()) as Look
  zone.value = null
  zones = 0
  vi.stubGlobal('ref', ref)
  vi.stubGlobal('toRaw', toRaw)
  vi.stubGlobal('useSurveyHere', () => ({
    draft,
    addZone: () => {
      const id = `5f0c9a52-6a1e-4d7f-9a53-1f3f0a6f0e${20 + ++zones}`
      draft.zones[id] = aZone({ name: `Zone ${zones + 1}`, order: zones, plugsMm: [] })
      return id
    },
    removeZone: (id: string) => {
      Reflect.deleteProperty(draft.zones, id)
    },
  }))
  edit = usePlanEdit(zone)
})
const things = () => Object.values(draft.features)
const area = (id: string) => drawnAreaM2(draft.features, id) ?? 0

describe('drawing', () => {
  test('gives the first outline to the zone that has none, the next one a zone of its own, and both count as drawn', () => {
    edit.add('zone', shape(box(0, 0, 20, 10)))
    expect([things()[0]!.zoneId, zone.value, draft.zones[ZONE_ID]!.areaFrom]).toEqual([ZONE_ID, ZONE_ID, 'drawn'])
    edit.add('zone', shape(box(30, 0, 5, 5)))
    expect(Object.keys(draft.zones)).toHaveLength(2)
    expect(things()[1]!.zoneId).not.toBe(ZONE_ID)
    expect(area(things()[1]!.zoneId!)).toBeCloseTo(25, 6)
  })

  test('keeps nothing that cannot be, and says why', () => {
    edit.add(
      'bed',
      shape([
        [0, 0],
        [9, 9],
        [9, 0],
        [0, 9],
      ]),
    )
    expect([things(), edit.message.value]).toEqual([[], expect.stringContaining('crosses itself')])
    edit.add('zone', shape(box(0, 0, 20, 10)))
    const [id] = Object.keys(draft.features) as [string]
    edit.reshape(
      id,
      shape([
        [0, 0],
        [20, 10],
        [20, 0],
        [0, 10],
      ]),
    )
    expect(edit.message.value).toContain('It stays as it was.')
    expect(area(ZONE_ID)).toBeCloseTo(200, 6)
  })

  test('is undone step by step, to where it began', () => {
    edit.add('zone', shape(box(0, 0, 20, 10)))
    const [id] = Object.keys(draft.features) as [string]
    edit.setSide(id, 0, 30)
    edit.add('bed', shape(box(2, 2, 2, 2)))
    edit.remove(id)
    const areas = [0, 1, 2, 3].map(() => {
      edit.undo()
      return Math.round(area(ZONE_ID))
    })
    // With its first side at 30 m the corners after it move 10 m: a trapezoid of 30 and 20 by 10 m. Its slant halves
    // the bed.
    expect(areas).toEqual([248, 250, 200, 0])
    edit.undo()
    expect([things(), edit.past.value]).toEqual([[], []])
  })
})

describe('split', () => {
  test('cuts the ground in two, the smaller a new zone with the same answers, and none is lost', () => {
    edit.add('zone', shape(box(0, 0, 20, 10)))
    const [id] = Object.keys(draft.features) as [string]
    edit.split(id, [15, -5], [15, 15])
    const other = Object.keys(draft.zones).find((key) => key !== ZONE_ID)!
    expect([area(ZONE_ID), area(other)].map(Math.round)).toEqual([150, 50])
    expect(draft.zones[other]).toMatchObject({ name: 'Zone 2', plugsMm: [18], desirableShare: 0.56 })
    expect(zone.value).toBe(other)
    edit.undo()
    expect([Object.keys(draft.zones), Math.round(area(ZONE_ID))]).toEqual([[ZONE_ID], 200])
  })

  test('by a line that misses changes nothing and says so', () => {
    edit.add('zone', shape(box(0, 0, 20, 10)))
    const before = JSON.stringify(draft)
    edit.split(Object.keys(draft.features)[0]!, [50, 0], [50, 9])
    expect([JSON.stringify(draft), edit.message.value]).toEqual([before, expect.stringContaining('does not cross')])
  })
})

test('join makes one zone of two that touch, with one outline, and undo parts them again', () => {
  edit.add('zone', shape(box(0, 0, 20, 10)))
  edit.add('zone', shape(box(20, 0, 10, 10)))
  const other = Object.keys(draft.zones).find((key) => key !== ZONE_ID)!
  edit.join(ZONE_ID, other)
  expect([things().length, Math.round(area(ZONE_ID)), Object.keys(draft.zones)]).toEqual([1, 300, [ZONE_ID]])
  edit.undo()
  expect([things().length, Object.keys(draft.zones).length]).toEqual([2, 2])
})

test('by tape and turn a square closes, and what crosses itself stays laid out to be mended', () => {
  for (const turn of [-90, 90, 90, 90]) edit.tape(4, turn)
  edit.closeTape('bed')
  expect(things()[0]!.points).toHaveLength(4)
  expect(edit.taped.value).toEqual([])
  for (const [metres, turn] of [
    [4, 0],
    [4, 135],
    [4, 135],
    [6, 120],
  ] as const)
    edit.tape(metres, turn)
  const laid = edit.taped.value.length
  edit.closeTape('bed')
  if (edit.message.value) expect(edit.taped.value).toHaveLength(laid)
  else expect(things()).toHaveLength(2)
})
