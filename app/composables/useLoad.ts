import { say } from '#core/explain/message'
import type { Lawn } from '#contract/lawn'
import { enoughSeedsPerCm2, pureSeed } from '#core/seed/blends'
import { grassByCode } from '#core/grass/grasses'
import { pickBags } from '#core/materials/bags'
import { feedNeed, parseAnalysis } from '#core/materials/feed'
import { overseedRate, seedNeed, seedsPerCm2 } from '#core/seed/liveSeed'
import { labelAge } from '#core/seed/seedAge'
import type { Gate } from '#core/explain/judgement'
import { withoutPhosphorus } from '#core/materials/feedRules'
import { supplyOf } from '#core/site/soilTest'
import { nitrogenGates, phosphorusGate } from '#core/job/operations/feedGates'
import { layerVolume } from '#core/materials/volume'
import { someIn } from '#core/job/operations/registry'
import { soilName } from '#core/job/operations/soilChoice'
import type { PlanSettings } from '#core/job/settings'
import { soilLaterM3, soilNowM3 } from '#core/job/operations/lifts'
import { depthGate, enoughHere, PLAN_RATE, seedOf, soilOf, type Part } from '#core/job/parts'

/** What the open job takes along, by the settings that are shown: kept ones, or those that are tried. */
export function useLoad(lawn: () => Lawn) {
  const { shown } = useLawn()
  const context = useContextStore()
  const settings = computed(() => shown.value!.settings)
  const parts = computed<Part[]>(() => shown.value?.parts ?? [])
  /** The largest part of the plan is what the settings are made for. */
  const main = computed(() => parts.value[0])
  const grass = computed(() => main.value?.grass ?? grassByCode('TF'))
  const treatedM2 = computed(() => main.value?.survey.areaM2 ?? Math.max(1, lawn().areaM2))
  /** Ground of the parts whose programme has something set by a setting, m². */
  const groundFor = (setting: keyof PlanSettings) =>
    parts.value
      .filter(({ programme }) => someIn(programme, ({ setBy }) => setBy === setting))
      .reduce((sum, { survey }) => sum + survey.areaM2, 0)
  const coveredM2 = computed(() => groundFor('coverMm'))

  const sown = computed(() => main.value?.seed ?? pureSeed(grass.value.code))
  const enough = computed(() =>
    main.value
      ? enoughHere({ ...main.value, seed: sown.value })
      : { seedsPerCm2: enoughSeedsPerCm2(sown.value), openShare: 1 },
  )
  const density = computed(() => seedsPerCm2(settings.value.seedRateGPerM2, sown.value))
  const seed = computed(() => seedNeed(treatedM2.value, settings.value.seedRateGPerM2, settings.value.lot, PLAN_RATE))
  const bags = computed(() => {
    try {
      return { pick: pickBags(seed.value.product.value, settings.value.bags), problem: '' }
    } catch (error) {
      return { pick: undefined, problem: (error as Error).message }
    }
  })

  return {
    settings,
    parts,
    sows: computed(() => parts.value.some(({ programme }) => programme.anchor === 'seeding')),
    scalps: computed(() => groundFor('scalpToMm') > 0),
    errorShare: computed(() => main.value?.survey.errorShare ?? 0),
    sown,
    enough,
    density,
    crowded: computed(() => density.value > 2 * enoughSeedsPerCm2(sown.value)[1]),
    usual: computed(() => overseedRate(grass.value)),
    seed,
    /** Nothing where the test on the label is fresh on the day of sowing, or was not read. */
    labelAge: computed(() => {
      const { testedOn } = settings.value.lot
      return testedOn ? labelAge(testedOn, lawn().plan.sowOn ?? context.today) : undefined
    }),
    bags,
    /** Seed of the other parts, which the settings are not made for. */
    others: computed(() =>
      parts.value.slice(1).flatMap((part) => (seedOf(part) ? [{ part, need: seedOf(part)! }] : [])),
    ),
    feed: computed(() => {
      const analysis = parseAnalysis(settings.value.starterAnalysis)
      const { starterNGPerM2 } = settings.value
      if (!analysis || !(starterNGPerM2 > 0)) return undefined
      return feedNeed(groundFor('starterNGPerM2') || treatedM2.value, starterNGPerM2, analysis)
    }),
    /** What law, soil test and the firm's limits say to the starter. */
    feedJudged: computed<Gate[]>(() => {
      const { starterAnalysis, starterNGPerM2, starterSlowShare } = settings.value
      if (!(starterNGPerM2 > 0)) return []
      const { planning, feedRules } = context.firmRecord
      const phosphorus = supplyOf(lawn().soilTest, 'p')
      return [
        phosphorusGate({ phosphorus, feedRules }, starterAnalysis, main.value?.programme.anchor !== 'dressing') ?? [],
        nitrogenGates(starterNGPerM2, starterSlowShare, { planning }),
      ].flat()
    }),
    /** What would be used in place of an analysis with phosphorus. */
    swapAnalysis: computed(() => withoutPhosphorus(supplyOf(lawn().soilTest, 'k'))),
    coveredM2,
    cover: computed(() =>
      settings.value.coverMm > 0 && coveredM2.value
        ? layerVolume(say('load.cover'), coveredM2.value, settings.value.coverMm, 0, {
            kind: 'user',
            text: say('load.coverDepth'),
          })
        : undefined,
    ),
    depth: computed(() => depthGate({ seed: sown.value, settings: settings.value })),
    soils: computed(() =>
      parts.value
        .filter((part) => soilOf(part).volumeM3 > 0 && someIn(part.programme, ({ uses }) => uses === 'soil'))
        .map((part) => ({
          name: soilName(part),
          zones: part.zones.join(', '),
          nowM3: soilNowM3(part),
          laterM3: soilLaterM3(part),
        })),
    ),
  }
}
