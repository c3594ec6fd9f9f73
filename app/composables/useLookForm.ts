import { lookSchema, type Lawn, type Look } from '#contract/lawn'
import type { Texture } from '#core/climate/soil'
import type { Sun } from '#core/climate/soilCourse'
import type { GrassCode } from '#core/grass/grasses'
import { usualWaitDays } from '#core/programme/intervals'
import { isDay, type Day } from '#core/quantity/calendar'
import { parseDegrees } from '#core/site/typedPlace'
import { keptField } from '~/utils/keptField'
import { figure, showText, type Quantity } from '#core/quantity/figure'

/** A survey as typed: every field keeps the technician's own words until they are saved. */
export interface LookForm {
  client: string
  address: string
  lat: string
  lon: string
  stationId: string
  area: string
  growsNow: string
  grass: GrassCode | undefined
  desirable: string
  weeds: string
  bare: string
  thatch: string
  height: string
  sun: Sun | undefined
  texture: Texture
  slope: string
  applications: { ingredient: string; appliedOn: string; waitDays: string }[]
}

export const NEAREST = 'nearest'
const FIELD_OF: Record<string, keyof LookForm> = {
  latDeg: 'lat', lonDeg: 'lon', areaM2: 'area', desirableShare: 'desirable', weedShare: 'weeds', bareShare: 'bare',
  thatchMm: 'thatch', mowingHeightMm: 'height', slopeShare: 'slope',
}

/** Reads and judges the short survey form. */
export function useLookForm(lawn: Lawn) {
  const { system, parse, parseArea } = useUnits()
  const percent = (share: number | null) => (share === null ? '' : `${Math.round(share * 1000) / 10}`)
  const length = (mm: number | null) => (mm === null ? '' : showText(figure('depthMm', mm, 3), system.value))

  const degreesText = (deg: number) => String(Math.round(deg * 1e5) / 1e5)

  const form = reactive<LookForm>({
    client: lawn.client, address: lawn.address, lat: degreesText(lawn.latDeg), lon: degreesText(lawn.lonDeg), stationId: lawn.stationId ?? NEAREST,
    area: lawn.areaTyped || showText(figure('areaM2', lawn.areaM2, 5), system.value), growsNow: lawn.growsNow, grass: lawn.grass ?? undefined,
    desirable: percent(lawn.desirableShare), weeds: percent(lawn.weedShare), bare: percent(lawn.bareShare),
    thatch: length(lawn.thatchMm), height: length(lawn.mowingHeightMm), sun: lawn.sun ?? undefined, texture: lawn.texture,
    slope: percent(lawn.slopeShare),
    applications: lawn.applications.map(({ ingredient, appliedOn, waitDays }) => ({ ingredient, appliedOn, waitDays: String(waitDays) })),
  })
  const errors = ref<Record<string, string>>({})
  const kept = {
    desirable: keptField(lawn.desirableShare, form.desirable), weeds: keptField(lawn.weedShare, form.weeds), bare: keptField(lawn.bareShare, form.bare),
    thatch: keptField(lawn.thatchMm, form.thatch), height: keptField(lawn.mowingHeightMm, form.height), slope: keptField(lawn.slopeShare, form.slope),
  }

  function measured(quantity: Quantity, field: keyof typeof kept): number | null {
    if (!form[field].trim()) return null
    const parsed = kept[field](form[field], (text) => parse(quantity, text))
    if (parsed.ok) return parsed.value
    errors.value[field] = parsed.message
    return null
  }

  function degrees(field: 'lat' | 'lon'): number {
    const parsed = parseDegrees(field === 'lat' ? 'latitude' : 'longitude', form[field])
    if (!parsed.ok) errors.value[field] = parsed.message
    return parsed.ok ? parsed.value : 0
  }

  function applications(): Look['applications'] {
    return form.applications.map(({ ingredient, appliedOn, waitDays }, i) => {
      if (!isDay(appliedOn)) errors.value[`applications.${i}.appliedOn`] = 'A date.'
      if (!/^\d+$/.test(waitDays.trim())) errors.value[`applications.${i}.waitDays`] = 'Whole days.'
      return { ingredient, appliedOn: appliedOn as Day, waitDays: Number(waitDays) }
    })
  }

  /** The survey for the server; undefined when a field has to be looked at again. */
  function read(version: number): Look | undefined {
    errors.value = {}
    const area = parseArea(form.area)
    if (!area.ok) errors.value.area = area.message
    const look = {
      version, client: form.client, address: form.address, latDeg: degrees('lat'), lonDeg: degrees('lon'),
      stationId: form.stationId === NEAREST ? null : form.stationId,
      areaM2: area.ok ? area.value : 1, areaTyped: form.area.trim(), growsNow: form.growsNow, grass: form.grass ?? null,
      desirableShare: measured('share', 'desirable'), weedShare: measured('share', 'weeds'), bareShare: measured('share', 'bare'),
      thatchMm: measured('depthMm', 'thatch'), mowingHeightMm: measured('depthMm', 'height'),
      sun: form.sun ?? null, texture: form.texture, slopeShare: measured('share', 'slope') ?? 0, applications: applications(),
    }
    const parsed = lookSchema.safeParse(look)
    if (!parsed.success) tell(Object.fromEntries(parsed.error.issues.map(({ path, message }) => [path.join('.'), message])))
    return parsed.success && !Object.keys(errors.value).length ? parsed.data : undefined
  }

  /** Puts messages of the contract at the fields as they are typed. */
  function tell(fields: Record<string, string>): void {
    for (const [path, message] of Object.entries(fields)) errors.value[FIELD_OF[path] ?? path] ??= message
  }

  /** Grass and weeds settle what is bare. */
  function fillBare(): void {
    const [grass, weeds] = [parse('share', form.desirable), parse('share', form.weeds)]
    if (form.bare.trim() || !grass.ok || !weeds.ok) return
    const rest = 1 - grass.value - weeds.value
    if (rest >= 0) form.bare = percent(rest)
  }

  function addApplication(ingredient: string): void {
    form.applications.push({ ingredient, appliedOn: '', waitDays: String(usualWaitDays(ingredient) ?? '') })
  }

  return { form, errors, read, tell, fillBare, addApplication }
}
