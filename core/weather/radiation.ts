import { dayFromNumber, dayNumber, dayOfYear, type Day } from '../measure/calendar'

/**
 * Solar geometry and evaporation by day.
 * @source FAO-56, eq. 21-25, 34, 50, 52; from memory
 */
const SOLAR_CONSTANT_MJ_M2_MIN = 0.082

/** How far the sun stands north of the equator, radians (eq. 24). */
export const solarDeclination = (dayOfYear: number): number => 0.409 * Math.sin((2 * Math.PI * dayOfYear) / 365 - 1.39)

function sunsetAngle(latDeg: number, dayOfYear: number): { angle: number; declination: number; latitude: number } {
  const latitude = (latDeg * Math.PI) / 180
  const declination = solarDeclination(dayOfYear)
  const cosine = -Math.tan(latitude) * Math.tan(declination)
  return { angle: Math.acos(Math.min(1, Math.max(-1, cosine))), declination, latitude }
}

/** Extraterrestrial radiation, MJ m⁻² d⁻¹ (eq. 21). */
export function extraterrestrialRadiationMJ(latDeg: number, dayOfYear: number): number {
  const { angle, declination, latitude } = sunsetAngle(latDeg, dayOfYear)
  const distance = 1 + 0.033 * Math.cos((2 * Math.PI * dayOfYear) / 365)
  return (
    ((24 * 60) / Math.PI) *
    SOLAR_CONSTANT_MJ_M2_MIN *
    distance *
    (angle * Math.sin(latitude) * Math.sin(declination) + Math.cos(latitude) * Math.cos(declination) * Math.sin(angle))
  )
}

/** Extraterrestrial radiation of each day of a run, MJ m⁻² d⁻¹; the same in every year that is drawn for it. */
export function radiationOf(latDeg: number, first: Day, days: number): Float64Array {
  const start = dayNumber(first)
  return Float64Array.from({ length: days }, (_, i) =>
    extraterrestrialRadiationMJ(latDeg, dayOfYear(dayFromNumber(start + i))),
  )
}

/** Daylight, h (eq. 34). */
export const daylightHours = (latDeg: number, dayOfYear: number): number =>
  (24 / Math.PI) * sunsetAngle(latDeg, dayOfYear).angle

/**
 * Solar radiation from the daily range of temperature, MJ m⁻² d⁻¹ (eq. 50).
 * @param coastal the adjustment is 0.19 near coasts and 0.16 in the interior
 */
export function solarRadiationMJ(tmaxC: number, tminC: number, raMJ: number, coastal = false): number {
  return (coastal ? 0.19 : 0.16) * Math.sqrt(Math.max(0, tmaxC - tminC)) * raMJ
}

/** Hargreaves reference evapotranspiration, mm d⁻¹ (eq. 52). @param raMJ extraterrestrial radiation, MJ m⁻² d⁻¹ */
export function hargreavesEt0Mm(tmaxC: number, tminC: number, raMJ: number): number {
  const raMm = 0.408 * raMJ
  return 0.0023 * ((tmaxC + tminC) / 2 + 17.8) * Math.sqrt(Math.max(0, tmaxC - tminC)) * raMm
}
