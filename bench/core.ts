import { grassByCode } from '#core/grass/grasses'
import { climateFromNormals } from '#core/weather/climate'
import { soilColumn, stepColumn } from '#core/soil/soil'
import { buildSeason, DAYS_AHEAD } from '#core/establishment/season'
import { summarise } from '#core/establishment/outlook'
import { oddsOf, watersOf, type Variant } from '#core/establishment/whatIf'
import { AS_TOLD } from '#core/water/topLayer'
import { pureSeed } from '#core/seed/blends'
import { toDay } from '#core/measure/calendar'
import { PELLMOOR } from '../demo/pellmoor'
import type { PointM } from '#core/site/geometry'
import { type Feature } from '#core/site/sitePlan'
import { drawnAreaM2, handSownBorderM } from '#core/site/drawn'
import { daysOfYear, shadedGround, sunMapOf } from '#core/site/sun'
import { quantile, type Measured } from './figures'
import { benchAfterSowing } from './afterSowing'
import { benchProgramme } from './programme'
import { workOut } from '../server/seasons/seasonWork'
import { warmUps } from '../server/seasons/warmUp'

/** Median of some runs, ms. */
function timed(runs: number, work: () => void): number {
  return quantile(
    Array.from({ length: runs }, () => {
      const start = performance.now()
      work()
      return performance.now() - start
    }),
    0.5,
  )
}

const thing = (change: Partial<Feature>): Feature => ({
  kind: 'zone',
  name: '',
  points: [],
  holes: [],
  zoneId: null,
  heightM: null,
  radiusM: null,
  depthMm: null,
  located: false,
  ...change,
})
const box = (x: number, y: number, w: number, h: number): PointM[] => [
  [x, y],
  [x + w, y],
  [x + w, y + h],
  [x, y + h],
]
/** 1,000 m² with a house, a garage, a fence and four trees. */
const GARDEN = {
  lawn: thing({ points: box(0, 0, 40, 25), zoneId: 'lawn' }),
  house: thing({ kind: 'building', points: box(10, 26, 12, 9), heightM: 8 }),
  garage: thing({ kind: 'building', points: box(-8, 2, 6, 7), heightM: 4 }),
  fence: thing({
    kind: 'fence',
    points: [
      [0, -0.5],
      [41, -0.5],
      [41, 26],
    ],
    heightM: 1.8,
  }),
  ...Object.fromEntries(
    (
      [
        [4, 4],
        [30, 20],
        [44, 10],
        [20, -4],
      ] as const
    ).map((at, i) => [`tree${i}`, thing({ kind: 'tree', points: [[...at]], heightM: 10, radiusM: 3.5 })]),
  ),
}
/** A zone and beds of 500 corners in all. */
export const VERTICES = {
  lawn: thing({
    zoneId: 'lawn',
    points: Array.from({ length: 300 }, (_, i): PointM => [
      30 * Math.cos(i / 47.75) + (i % 3) * 0.2,
      20 * Math.sin(i / 47.75),
    ]),
  }),
  ...Object.fromEntries(
    Array.from({ length: 10 }, (_, b) => [
      `bed${b}`,
      thing({
        kind: 'bed',
        points: Array.from({ length: 20 }, (_, i): PointM => [
          b * 4 - 18 + 1.5 * Math.cos(i / 3.18),
          1.5 * Math.sin(i / 3.18),
        ]),
      }),
    ]),
  ),
}

const HOURS = 365 * 24

/** Speed of the computation alone. */
export function benchCore(): Measured[] {
  const column = soilColumn({ diffusivityM2PerS: 0.7e-6, initialC: 12 })
  const nodes = column.depthsM.length
  const soilMs = timed(15, () => {
    for (let h = 0; h < HOURS; h++) stepColumn(column, 12 + 10 * Math.sin(h / 3.8))
  })
  // The same multiplications and additions without the solver around them: the floor that the machine sets.
  const plain = new Float64Array(nodes).fill(1)
  const bareMs = timed(15, () => {
    for (let h = 0; h < HOURS; h++) {
      let carried = 12
      for (let i = 1; i < nodes; i++)
        plain[i] = carried = (plain[i]! + 0.3 * (carried - plain[i]! + carried) + 0.2 * (plain[i]! - 1)) * 0.6
      for (let i = nodes - 2; i > 0; i--) plain[i] = carried = plain[i]! + 0.3 * carried
    }
  })
  const climate = climateFromNormals(PELLMOOR.normals)
  const ground = { latDeg: PELLMOOR.latDeg, coastal: false, texture: 'loam', cover: 'thin turf', sun: 'full' } as const
  const season = (years: number) =>
    buildSeason({ today: toDay('2026-09-08'), observed: [], forecast: [], climate, ground, years, seed: 1 })
  const seasonMs = timed(3, () => season(200))
  const [built, ofList] = [season(200), season(100)]
  const plan: Variant = {
    code: 'plan',
    group: 'plan',
    words: grassByCode('TF').name,
    seed: pureSeed('TF'),
    ground,
    risk: { covering: 'covered', slopeShare: 0, bed: { cover: 'compost', coverMm: 5, watering: AS_TOLD } },
  }
  const judgedMs = timed(3, () => oddsOf(plan, built))
  let asked = 0
  const firstLook = [...warmUps()].filter(({ only }) => !only)
  const coarseMs = timed(15, () => {
    workOut({ ...firstLook[asked % firstLook.length]!, key: `first look ${asked++}`, coarse: true })
  })
  const outlookMs = timed(5, () => {
    summarise(ofList, pureSeed('TF'), plan.risk, 75, climate.normals)
  })
  const bed = { cover: 'compost', coverMm: 5, watering: AS_TOLD } as const
  const windowsMs = timed(3, () => {
    const season = buildSeason({
      today: toDay('2026-09-08'),
      observed: [],
      forecast: [],
      climate,
      ground,
      years: 40,
      seed: 1,
    })
    const variants = (['PRG', 'TF', 'KBG', 'CRF'] as const).map(
      (grass) =>
        ({
          code: grass,
          group: 'seed',
          words: grassByCode(grass).name,
          seed: pureSeed(grass),
          ground,
          risk: { covering: 'covered', slopeShare: 0, bed },
        }) as const,
    )
    const waters = watersOf(variants[0]!, season)
    for (const variant of variants) oddsOf(variant, season, waters)
  })
  const yearsMs = [10, 20, 40].map(
    (years) =>
      timed(3, () => {
        const season = buildSeason({
          today: toDay('2026-09-08'),
          observed: [],
          forecast: [],
          climate,
          ground,
          years,
          seed: 1,
        })
        oddsOf(plan, season)
      }) / years,
  )
  const place = { latDeg: PELLMOOR.latDeg, lonDeg: PELLMOOR.lonDeg }
  const sunMs = timed(3, () => {
    sunMapOf(shadedGround(GARDEN, ['lawn'], place), 1, ...daysOfYear(2026))
  })
  const garden = shadedGround(GARDEN, ['lawn'], place)
  const dayMs = timed(15, () => {
    sunMapOf(garden, 1, toDay('2026-09-18'))
  })
  const editMs = timed(15, () => {
    drawnAreaM2(VERTICES, 'lawn')
    handSownBorderM(VERTICES)
  })
  const millions = (HOURS * nodes) / soilMs / 1000
  return [
    ...benchProgramme(),
    ...benchAfterSowing(),
    {
      what: 'sun map of 1,000 m² at 0.5 m, mean of every day of a year',
      figure: `${sunMs.toFixed(0)} ms`,
      wanted: { words: 'under 1,000 ms', met: sunMs < 1000 },
    },
    { what: 'the same for another day on the same ground', figure: `${dayMs.toFixed(1)} ms` },
    {
      what: 'areas and edges of a plan with 500 corners, after each change',
      figure: `${editMs.toFixed(1)} ms`,
      wanted: { words: 'a frame, 16 ms', met: editMs < 16 },
    },
    {
      what: `soil, a year by the hour, ${nodes} nodes`,
      figure: `${millions.toFixed(1)} million node-steps/s (${soilMs.toFixed(1)} ms)`,
      wanted: { words: '60 million/s', met: millions >= 60 },
    },
    { what: 'the same against a bare loop of its arithmetic', figure: `${(soilMs / bareMs).toFixed(2)} times` },
    {
      what: `soil of 200 years of ${DAYS_AHEAD} days, a ground`,
      figure: `${seasonMs.toFixed(0)} ms`,
      wanted: { words: 'under 800 ms', met: seasonMs < 800 },
    },
    {
      what: 'a first look, marked so, by a thread: eight years from nothing to what is sent',
      figure: `${coarseMs.toFixed(0)} ms`,
      wanted: { words: 'under 150 ms', met: coarseMs < 150 },
    },
    {
      what: 'with it, 548 sowing days of one grass and its seedbed, 200 years',
      figure: `${judgedMs.toFixed(0)} ms`,
      wanted: { words: 'under 700 ms', met: judgedMs < 700 },
    },
    {
      what: '40 years of four grasses sown on every day, soil and seedbed',
      figure: `${windowsMs.toFixed(0)} ms`,
    },
    {
      what: 'of one grass a year, of 10, 20 and 40 years',
      figure: yearsMs.map((ms) => `${ms.toFixed(1)} ms`).join(', '),
      wanted: {
        words: 'linear: the dearest under 1.5 times the cheapest',
        met: Math.max(...yearsMs) < 1.5 * Math.min(...yearsMs),
      },
    },
    { what: 'odds and summary of one grass, 100 years', figure: `${outlookMs.toFixed(0)} ms` },
  ]
}
