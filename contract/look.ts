import { asSaid, said } from './said'
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
import { waterSchema } from './water'

export const MOST_ZONES = 24
export const MOST_FEATURES = 300
/** Corners and points of a whole plan. */
export const MOST_POINTS = 5000
/** A survey as it is sent, its plan with all its points and every figure to the last digit. */
export const MOST_LOOK_BYTES = 512 * 1024
/** Farther than this from the lawn's place is another lawn, m. */
const MOST_AWAY_M = 2000
const metres = between(-MOST_AWAY_M, MOST_AWAY_M, said('contract.within2KmOf'))
const length = between(0.1, 100, said('contract.between4In0')).nullable()
const depth = between(0, 1000, said('contract.between0And39'))

/** A place on a plan, m east and north of its lawn. */
export const pointSchema = z.tuple([metres, metres])
const ring = z
  .array(pointSchema)
  .max(MOST_POINTS, said('contract.atMostCorners', { MOST_POINTS: MOST_POINTS.toLocaleString('en-US') }))
export const featureSchema = z
  .object({
    kind: z.enum(FEATURE_CODES),
    name: text(40),
    points: ring,
    holes: z.array(ring).max(12, said('contract.atMost12Holes')),
    zoneId: idSchema.nullable(),
    heightM: length,
    radiusM: length,
    depthMm: depth.nullable(),
    located: z.boolean(),
  })
  .superRefine((feature, context) => {
    const problem = featureProblem(feature)
    if (problem) context.addIssue({ code: 'custom', path: ['points'], message: asSaid(problem) })
  })

/** The picture under the plan. */
export const underlaySchema = z.object({
  photoId: idSchema,
  at: z.tuple([metres, metres]).readonly(),
  mPerPx: between(M_PER_PX.least, M_PER_PX.most, said('contract.scaleThePictureBy')),
  turnDeg: between(-180, 180, said('contract.between180And180')),
  widthPx: z.int().min(1).max(10_000),
  heightPx: z.int().min(1).max(10_000),
})

const hollowSchema = z
  .object({
    name: text(40),
    spacingM: between(0.05, 20, said('contract.between2In0')),
    widthM: between(0.05, 100, said('contract.between2In005')).nullable(),
    rowsMm: z
      .array(z.array(depth).max(40, said('contract.atMost40Depths')))
      .min(1)
      .max(40, said('contract.atMost40Rows')),
  })
  .superRefine((hollow, context) => {
    const problem = hollowProblem(hollow)
    if (problem) context.addIssue({ code: 'custom', path: ['rowsMm'], message: asSaid(problem) })
  })

export const zoneSchema = z
  .object({
    name: required(40),
    order: z.int().min(0).max(999),
    areaFrom: z.enum(['taped', 'drawn']),
    areaTyped: text(200),
    tapedM2: areaM2.nullable(),
    errorShare: between(0, 0.3, said('contract.between0And30')),
    sward: z.enum(SWARD_CODES).nullable(),
    grass: z.enum(GRASS_CODES).nullable(),
    desirableShare: share.nullable(),
    weedShare: share.nullable(),
    coarseShare: share.nullable(),
    bareShare: share.nullable(),
    counted: z
      .array(z.int().min(0).max(2000))
      .refine(({ length: n }) => n === 0 || n === 4, said('contract.fourCounts')),
    barePatchy: z.boolean().nullable(),
    plugsMm: z.array(between(0, 150, said('contract.between0And6'))).max(12, said('contract.atMost12Plugs')),
    driverMm: z.array(between(0, 300, said('contract.between0And12'))).max(12, said('contract.atMost12Tries')),
    penetrometerKPa: z
      .array(between(0, 10_000, said('contract.between0And1450')))
      .max(12, said('contract.atMost12Tries')),
    mowingHeightMm: between(3, 300, said('contract.betweenIn3MmAnd')).nullable(),
    keptMm: between(3, 300, said('contract.betweenIn3MmAnd')).nullable(),
    sunHours: between(0, 24, said('contract.between0And24Hours')).nullable(),
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
      .max(4, said('contract.atMost4Swards'))
      .default([])
      .refine((mix) => new Set(mix.map(({ sward }) => sward)).size === mix.length, said('contract.eachSwardOnce'))
      .refine(
        (mix) => !mix.length || Math.abs(mix.reduce((sum, one) => sum + one.share, 0) - 1) < 0.0151,
        said('contract.theSharesHaveTo'),
      ),
    levelsSeen: z.boolean(),
    hollows: z.array(hollowSchema).max(12, said('contract.atMost12Hollows')),
  })
  .superRefine(({ desirableShare, weedShare, coarseShare, bareShare }, context) => {
    if (desirableShare === null || weedShare === null || coarseShare === null || bareShare === null) return
    const problem = coverProblem(desirableShare, weedShare, coarseShare, bareShare)
    if (problem) context.addIssue({ code: 'custom', path: ['bareShare'], message: asSaid(problem) })
  })

export const applicationSchema = z.object({
  ingredient: required(80),
  product: text(80),
  rate: text(40),
  appliedOn: daySchema,
  waitDays: z
    .int(said('contract.wholeDays'))
    .min(0, said('contract.notBelow0Days'))
    .max(800, said('contract.atMost800Days')),
})

const ppm = between(0, 5000, said('contract.between0And5')).nullable()
const acidity = between(2, 11, said('contract.aPhBetween2')).nullable()
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

export const LEAVES = ['none', 'some', 'heavy'] as const
export const accessSchema = z.object({
  gateM: between(0.3, 20, said('contract.between1Ft0')).nullable(),
  steps: z.int().min(0).max(200, said('contract.atMost200Steps')).nullable(),
  barrowM: between(0, 2000, said('contract.between0And12Miles')).nullable(),
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
    latDeg: between(-66, 66, said('contract.between66And66')),
    lonDeg: between(-180, 180, said('contract.between180And180')),
    /** Above the sea; moves the station's air to the lawn's height. */
    heightM: heightM.nullable(),
    stationId: idSchema.nullable(),
    growsNow: text(120),
    texture: z.enum(TEXTURES),
    zones: few(zoneSchema, MOST_ZONES, 'zones').refine(
      (zones) => Object.keys(zones).length > 0,
      said('contract.oneZoneAtLeast'),
    ),
    features: few(featureSchema, MOST_FEATURES, 'things on the plan'),
    underlay: underlaySchema.nullable(),
    applications: z.array(applicationSchema).max(40, said('contract.atMost40Lines')),
    /** Asked, and nothing was put on that is known of. */
    nothingPutOn: z.boolean(),
    soilTest: soilTestSchema.nullable(),
    water: waterSchema,
    access: accessSchema,
    wishes: wishesSchema,
    /** Measurements as they were typed, by field: they come back so. */
    typedAs: z
      .record(z.string().regex(/^[\w.-]{1,120}$/, said('contract.thePathOfA')), text(120))
      .refine((all) => Object.keys(all).length <= 400, said('contract.atMost400Typed'))
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
          message: said('contract.thisOutlineBelongsTo'),
        })
    }
    if (points > MOST_POINTS)
      context.addIssue({
        code: 'custom',
        path: ['features'],
        message: said('contract.atMostPointsOn', { MOST_POINTS: MOST_POINTS.toLocaleString('en-US') }),
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
    told.flatMap(([path, day]) => (day && day > today ? [[path, said('contract.thisDayHasNot')]] : [])),
  )
}
