import { readTyped } from '~/utils/readTyped'
import { settingsSchema } from '#contract/lawn'
import { COVER_MATERIALS, COVER_NAMES } from '#core/materials/covers'
import type { PlanSettings } from '#core/job/settings'
import { figure, showText, type Quantity } from '#core/measure/figure'
import { parseMoney, typedMoney } from '#core/measure/money'
import { keptField } from '~/utils/keptField'

const FIELDS = {
  rate: ['rateGPerM2', 'seedRateGPerM2'],
  purity: ['share', 'lot.purityShare'],
  germination: ['share', 'lot.germinationShare'],
  coating: ['share', 'lot.coatingShare'],
  nitrogen: ['rateGPerM2', 'starterNGPerM2'],
  slow: ['share', 'starterSlowShare'],
  cover: ['depthMm', 'coverMm'],
  rake: ['depthMm', 'rakeMm'],
  scalp: ['depthMm', 'scalpToMm'],
} as const satisfies Record<string, readonly [Quantity, string]>
type Field = keyof typeof FIELDS

/** The plan's own settings as typed; good ones move the numbers at once. */
export function useBringForm(settings: PlanSettings) {
  const { system, parse } = useUnits()
  const context = useContextStore()
  const typed = (quantity: Quantity, value: number) => showText(figure(quantity, value, 3), system.value)
  const money = (minor: number | null) => (minor === null ? '' : typedMoney(minor, context.currency))

  const form = reactive({
    rate: typed('rateGPerM2', settings.seedRateGPerM2),
    purity: typed('share', settings.lot.purityShare),
    germination: typed('share', settings.lot.germinationShare),
    coating: typed('share', settings.lot.coatingShare),
    purityOfBareSeed: settings.lot.purityOfBareSeed,
    testedOn: String(settings.lot.testedOn ?? ''),
    analysis: settings.starterAnalysis,
    nitrogen: typed('rateGPerM2', settings.starterNGPerM2),
    slow: typed('share', settings.starterSlowShare),
    cover: typed('depthMm', settings.coverMm),
    material: settings.coverMaterial,
    rake: typed('depthMm', settings.rakeMm),
    scalp: typed('depthMm', settings.scalpToMm),
    bags: settings.bags.map(({ massKg, priceMinor }) => ({ size: typed('massKg', massKg), price: money(priceMinor) })),
  })

  const exact: Record<Field, number> = {
    rate: settings.seedRateGPerM2,
    purity: settings.lot.purityShare,
    germination: settings.lot.germinationShare,
    coating: settings.lot.coatingShare,
    nitrogen: settings.starterNGPerM2,
    slow: settings.starterSlowShare,
    cover: settings.coverMm,
    rake: settings.rakeMm,
    scalp: settings.scalpToMm,
  }
  const kept = Object.fromEntries(
    (Object.keys(FIELDS) as Field[]).map((field) => [field, keptField(exact[field], form[field])]),
  ) as Record<Field, ReturnType<typeof keptField<number>>>
  const keptBags = new Map(settings.bags.map(({ massKg }) => [typed('massKg', massKg), massKg]))

  /** Everything typed, read and judged together: what holds, and what does not by field. */
  const read = computed<{ settings?: PlanSettings; errors: Record<string, string> }>(() => {
    const errors: Record<string, string> = {}
    const value = (field: Field) => {
      const parsed = kept[field](form[field], (text) => parse(FIELDS[field][0], text))
      if (!parsed.ok) errors[field] = parsed.message
      return parsed.ok ? parsed.value : 0
    }
    const bags = form.bags.map(({ size, price }, i) => {
      const mass = parse('massKg', size)
      if (!mass.ok) errors[`bags.${i}.massKg`] = mass.message
      const paid = price.trim() ? readTyped(parseMoney(price, context.currency)) : undefined
      if (paid && !paid.ok) errors[`bags.${i}.priceMinor`] = paid.message
      return { massKg: keptBags.get(size) ?? (mass.ok ? mass.value : 0), priceMinor: paid?.ok ? paid.value : null }
    })
    const candidate = {
      seedRateGPerM2: value('rate'),
      starterAnalysis: form.analysis.trim(),
      starterNGPerM2: value('nitrogen'),
      starterSlowShare: value('slow'),
      coverMaterial: form.material,
      coverMm: value('cover'),
      rakeMm: value('rake'),
      scalpToMm: value('scalp'),
      bags,
      lot: {
        purityShare: value('purity'),
        germinationShare: value('germination'),
        coatingShare: value('coating'),
        purityOfBareSeed: form.purityOfBareSeed,
        testedOn: form.testedOn || null,
      },
    }
    const parsed = settingsSchema.safeParse(candidate)
    if (form.testedOn > context.today) errors['lot.testedOn'] = t('load.testedInTheFuture')
    for (const { path, message } of parsed.success ? [] : parsed.error.issues) {
      const joined = path.join('.')
      const field = (Object.keys(FIELDS) as Field[]).find((name) => FIELDS[name][1] === joined)
      errors[field ?? (joined === 'starterAnalysis' ? 'analysis' : joined)] ??= heard(message)
    }
    return parsed.success && !Object.keys(errors).length ? { settings: parsed.data, errors } : { errors }
  })
  const materials = COVER_MATERIALS.map((value) => ({ value, label: tell(COVER_NAMES[value]) }))
  return { form, read, materials }
}
