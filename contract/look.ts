import { z } from 'zod'
import type { Day } from '#core/measure/calendar'
import { TEXTURES } from '#core/soil/soil'
import { GRASS_CODES } from '#core/grass/grasses'
import { SWARD_CODES } from '#core/grass/swards'
import { hollowProblem } from '#core/site/hollow'
import { FEATURE_CODES, featureProblem } from '#core/site/sitePlan'
import { SOIL_METHODS } from '#core/site/soilTest'
import { coverProblem } from '#core/site/survey'
import { M_PER_PX } from '#core/site/underlay'
import { DRAINAGES, GROUNDS, GRUBS, STONES, WEARS } from '#core/site/zone'
import { areaM2, between, daySchema, few, heightM, idSchema, required, share, text, versionSchema } from './fields'

export const MOST_ZONES = 24
export const MOST_FEATURES = 300
/** Corners and points of a whole plan. */
export const MOST_POINTS = 5000
/** A survey as it is sent, its plan with all its points and every figure to the last digit. */
export const MOST_LOOK_BYTES = 512 * 1024
/** Farther than this from the lawn's place is another lawn, m. */
const MOST_AWAY_M = 2000
const metres = between(-MOST_AWAY_M, MOST_AWAY_M, 'Within 2 km of the lawn.')
const length = between(0.1, 100, 'Between 4 in (0.1 m) and 330 ft (100 m).').nullable()
const depth = between(0, 1000, 'Between 0 and 39 in (1,000 mm).')

const ring = z
  .array(z.tuple([metres, metres]))
  .max(MOST_POINTS, `At most ${MOST_POINTS.toLocaleString('en-US')} corners.`)
export const featureSchema = z
  .object({
    kind: z.enum(FEATURE_CODES),
    name: text(40),
    points: ring,
    holes: z.array(ring).max(12, 'At most 12 holes.'),
    zoneId: idSchema.nullable(),
    heightM: length,
    radiusM: length,
    depthMm: depth.nullable(),
    located: z.boolean(),
  })
  .superRefine((feature, context) => {
    const problem = featureProblem(feature)
    if (problem) context.addIssue({ code: 'custom', path: ['points'], message: problem })
  })

/** The picture under the plan. */
export const underlaySchema = z.object({
  photoId: idSchema,
  at: z.tuple([metres, metres]).readonly(),
  mPerPx: between(M_PER_PX.least, M_PER_PX.most, 'Scale the picture by a length that is known on it.'),
  turnDeg: between(-180, 180, 'Between −180 and 180 degrees.'),
  widthPx: z.int().min(1).max(10_000),
  heightPx: z.int().min(1).max(10_000),
})

const hollowSchema = z
  .object({
    name: text(40),
    spacingM: between(0.05, 20, 'Between 2 in (0.05 m) and 65 ft (20 m).'),
    widthM: between(0.05, 100, 'Between 2 in (0.05 m) and 330 ft (100 m).').nullable(),
    rowsMm: z.array(z.array(depth).max(40, 'At most 40 depths in a row.')).min(1).max(40, 'At most 40 rows.'),
  })
  .superRefine((hollow, context) => {
    const problem = hollowProblem(hollow)
    if (problem) context.addIssue({ code: 'custom', path: ['rowsMm'], message: problem })
  })

export const zoneSchema = z
  .object({
    name: required(40),
    order: z.int().min(0).max(999),
    areaFrom: z.enum(['taped', 'drawn']),
    areaTyped: text(200),
    tapedM2: areaM2.nullable(),
    errorShare: between(0, 0.3, 'Between 0 and 30%.'),
    sward: z.enum(SWARD_CODES).nullable(),
    grass: z.enum(GRASS_CODES).nullable(),
    desirableShare: share.nullable(),
    weedShare: share.nullable(),
    coarseShare: share.nullable(),
    bareShare: share.nullable(),
    counted: z.array(z.int().min(0).max(2000)).refine(({ length: n }) => n === 0 || n === 4, 'Four counts.'),
    barePatchy: z.boolean().nullable(),
    plugsMm: z.array(between(0, 150, 'Between 0 and 6 in (150 mm).')).max(12, 'At most 12 plugs.'),
    driverMm: z.array(between(0, 300, 'Between 0 and 12 in (300 mm).')).max(12, 'At most 12 tries.'),
    penetrometerKPa: z.array(between(0, 10_000, 'Between 0 and 1,450 psi (10,000 kPa).')).max(12, 'At most 12 tries.'),
    mowingHeightMm: between(3, 300, 'Between ⅛ in (3 mm) and 12 in (300 mm).').nullable(),
    keptMm: between(3, 300, 'Between ⅛ in (3 mm) and 12 in (300 mm).').nullable(),
    sunHours: between(0, 24, 'Between 0 and 24 hours.').nullable(),
    slopeShare: share.nullable(),
    wear: z.enum(WEARS).nullable(),
    drainage: z.enum(DRAINAGES).nullable(),
    grubs: z.enum(GRUBS).nullable().default(null),
    ground: z.enum(GROUNDS).default('turf'),
    stones: z.enum(STONES).nullable().default(null),
    topsoilMm: depth.nullable().default(null),
    thatchSoft: z.boolean().nullable().default(null),
    coredOn: daySchema.nullable().default(null),
    swardMix: z
      .array(z.object({ sward: z.enum(SWARD_CODES), share }))
      .max(4, 'At most 4 swards.')
      .default([])
      .refine((mix) => new Set(mix.map(({ sward }) => sward)).size === mix.length, 'Each sward once.')
      .refine(
        (mix) => !mix.length || Math.abs(mix.reduce((sum, one) => sum + one.share, 0) - 1) < 0.0151,
        'The shares have to add up to 100%.',
      ),
    levelsSeen: z.boolean(),
    hollows: z.array(hollowSchema).max(12, 'At most 12 hollows.'),
  })
  .superRefine(({ desirableShare, weedShare, coarseShare, bareShare }, context) => {
    if (desirableShare === null || weedShare === null || coarseShare === null || bareShare === null) return
    const problem = coverProblem(desirableShare, weedShare, coarseShare, bareShare)
    if (problem) context.addIssue({ code: 'custom', path: ['bareShare'], message: problem })
  })

export const applicationSchema = z.object({
  ingredient: required(80),
  product: text(80),
  rate: text(40),
  appliedOn: daySchema,
  waitDays: z.int('Whole days.').min(0, 'Not below 0 days.').max(800, 'At most 800 days.'),
})

const ppm = between(0, 5000, 'Between 0 and 5,000 ppm.').nullable()
const acidity = between(2, 11, 'A pH between 2 and 11.').nullable()
export const soilTestSchema = z.object({
  sampledOn: daySchema,
  method: z.enum(SOIL_METHODS),
  ph: acidity,
  bufferPh: acidity,
  pPpm: ppm,
  kPpm: ppm,
  organicShare: share.nullable(),
  note: text(400),
})

const flow = between(0.1, 2000, 'Between 0.03 and 530 gal/min (0.1 to 2,000 L/min).').nullable()
export const HOME_WHEN = ['all day', 'mornings and evenings', 'seldom'] as const
export const waterSchema = z.object({
  source: z.enum(['none', 'hose', 'sprinklers']).nullable(),
  flowLPerMin: flow,
  circuits: z
    .array(z.object({ name: required(40), heads: z.int().min(0).max(200), flowLPerMin: flow }))
    .max(16, 'At most 16 circuits.'),
  byWhom: text(80),
  /** When whoever waters is at home. */
  homeWhen: z.enum(HOME_WHEN).nullable().default(null),
  /** How often a day they can, honestly. */
  timesADay: between(0, 12, 'Between 0 and 12 times a day.').nullable(),
  restriction: z.enum(['none', 'limited', 'ban']).nullable(),
  restrictedUntil: daySchema.nullable(),
  restrictionNote: text(200),
})

export const LEAVES = ['none', 'some', 'heavy'] as const
export const accessSchema = z.object({
  gateM: between(0.3, 20, 'Between 1 ft (0.3 m) and 65 ft (20 m).').nullable(),
  steps: z.int().min(0).max(200, 'At most 200 steps.').nullable(),
  barrowM: between(0, 2000, 'Between 0 and 1.2 miles (2 km).').nullable(),
  tipping: text(120),
  services: z.enum(['not asked', 'asked', 'located']),
  /** Leaves that trees on it or beside it drop in autumn. */
  leaves: z.enum(LEAVES).nullable().default(null),
  note: text(400),
})

export const GOALS = ['thicker', 'species', 'levels', 'winter', 'patches'] as const
export const UPKEEPS = ['low', 'usual', 'high'] as const
export const MOWERS = ['client', 'us', 'contractor'] as const
export const wishesSchema = z.object({
  goal: z.enum(GOALS).nullable(),
  look: z.enum(['family', 'fine']).nullable(),
  /** How much upkeep the client will give. */
  upkeep: z.enum(UPKEEPS).nullable().default(null),
  /** Refuses sprays: no herbicide, and no sprayed weed control. */
  noSprays: z.boolean().default(false),
  mownBy: z.enum(MOWERS).nullable().default(null),
  /** Days of the week on which it is mown, 0 for Sunday. */
  mowDays: z
    .array(z.int().min(0).max(6))
    .max(7)
    .default([])
    .transform((days) => [...new Set(days)].sort()),
  usableBy: daySchema.nullable(),
  note: text(400),
})

export const NO_WATER: z.infer<typeof waterSchema> = {
  source: null,
  flowLPerMin: null,
  circuits: [],
  byWhom: '',
  homeWhen: null,
  timesADay: null,
  restriction: null,
  restrictedUntil: null,
  restrictionNote: '',
}
export const NO_ACCESS: z.infer<typeof accessSchema> = {
  gateM: null,
  steps: null,
  barrowM: null,
  tipping: '',
  services: 'not asked',
  leaves: null,
  note: '',
}
export const NO_WISHES: z.infer<typeof wishesSchema> = {
  goal: null,
  look: null,
  upkeep: null,
  noSprays: false,
  mownBy: null,
  mowDays: [],
  usableBy: null,
  note: '',
}

/** The survey: the lawn, its zones, what is drawn of it, and what was found and asked. Null is "not looked at yet". */
export const lookSchema = z
  .object({
    version: versionSchema,
    client: required(80),
    address: text(160),
    latDeg: between(-66, 66, 'Between −66 and 66 degrees.'),
    lonDeg: between(-180, 180, 'Between −180 and 180 degrees.'),
    /** Above the sea; moves the station's air to the lawn's height. */
    heightM: heightM.nullable(),
    stationId: idSchema.nullable(),
    growsNow: text(120),
    texture: z.enum(TEXTURES),
    zones: few(zoneSchema, MOST_ZONES, 'zones').refine((zones) => Object.keys(zones).length > 0, 'One zone at least.'),
    features: few(featureSchema, MOST_FEATURES, 'things on the plan'),
    underlay: underlaySchema.nullable(),
    applications: z.array(applicationSchema).max(40, 'At most 40 lines.'),
    /** Asked, and nothing was put on that is known of. */
    nothingPutOn: z.boolean(),
    soilTest: soilTestSchema.nullable(),
    water: waterSchema,
    access: accessSchema,
    wishes: wishesSchema,
    /** Measurements as they were typed, by field: they come back so. */
    typedAs: z
      .record(z.string().regex(/^[\w.-]{1,120}$/, 'The path of a field.'), text(120))
      .refine((all) => Object.keys(all).length <= 400, 'At most 400 typed fields.')
      .default({}),
  })
  .superRefine(({ zones, features }, context) => {
    let points = 0
    for (const [id, { kind, zoneId, points: outer, holes }] of Object.entries(features)) {
      points += outer.length + holes.flat().length
      if (kind === 'zone' && !(zoneId !== null && zoneId in zones))
        context.addIssue({
          code: 'custom',
          path: ['features', id, 'zoneId'],
          message: 'This outline belongs to no zone.',
        })
    }
    if (points > MOST_POINTS)
      context.addIssue({
        code: 'custom',
        path: ['features'],
        message: `At most ${MOST_POINTS.toLocaleString('en-US')} points on a plan.`,
      })
  })

export type Look = z.infer<typeof lookSchema>

/** What is said to have been done and cannot have been yet, by field. */
export function notYet({ applications, soilTest, zones }: Look, today: Day): Record<string, string> {
  const told: [string, Day | null | undefined][] = [
    ...applications.map(({ appliedOn }, i): [string, Day] => [`applications.${i}.appliedOn`, appliedOn]),
    ['soilTest.sampledOn', soilTest?.sampledOn],
    ...Object.entries(zones).map(([id, { coredOn }]): [string, Day | null] => [`zones.${id}.coredOn`, coredOn]),
  ]
  return Object.fromEntries(
    told.flatMap(([path, day]) => (day && day > today ? [[path, 'This day has not come yet.']] : [])),
  )
}
