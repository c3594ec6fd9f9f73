import type { TypedStation } from '~/components/weather/StationFields.vue'
import type { NewStation } from '#contract/station'
import { readTyped, type ReadTyped } from '~/utils/readTyped'
import { figure } from '#core/measure/figure'
import { parseDegrees } from '#core/site/typedPlace'

/** A station's name and place between what is kept and what is typed. */
export function useTypedStation() {
  const { text, parse } = useUnits()
  const empty = (): TypedStation => ({ name: '', lat: '', lon: '', height: '', coastal: false })
  const typedOf = ({ name, latDeg, lonDeg, heightM, coastal }: NewStation): TypedStation => ({
    name,
    coastal,
    lat: String(Math.round(latDeg * 1e5) / 1e5),
    lon: String(Math.round(lonDeg * 1e5) / 1e5),
    height: heightM === null ? '' : text(figure('distanceM', heightM, 6)),
  })
  /** What the form says, with the fields that were read from words. */
  function readStation(form: TypedStation): { station: NewStation; read: Record<string, ReadTyped> } {
    const [latDeg, lonDeg] = [
      readTyped(parseDegrees('latitude', form.lat)),
      readTyped(parseDegrees('longitude', form.lon)),
    ]
    const heightM: ReadTyped | undefined = form.height.trim() ? parse('distanceM', form.height) : undefined
    return {
      station: {
        name: form.name,
        coastal: form.coastal,
        latDeg: orZero(latDeg),
        lonDeg: orZero(lonDeg),
        heightM: heightM ? orZero(heightM) : null,
      },
      read: { latDeg, lonDeg, ...(heightM ? { heightM } : {}) },
    }
  }
  return { empty, typedOf, readStation }
}
