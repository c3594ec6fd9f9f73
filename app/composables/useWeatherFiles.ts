import {
  MOST_FILE_BYTES,
  type ImportResult,
  type NewStation,
  type Station,
  type WeatherFileTold,
} from '#contract/station'
import type { Normals } from '#core/weather/normals'
import { evenRain } from '#core/weather/fewFigures'
import type { Place } from '#core/site/placeText'

/** A weather file that was dropped: what it is, and whether it is kept. */
export interface DroppedFile {
  id: number
  file: File
  told: WeatherFileTold | undefined
  problem: string
  /** Rain of a year as it is typed, for a file of a typical year that has none. */
  rain: string
  mapping: ReturnType<typeof useDailyMapping>
  kept: ImportResult | 'normals' | undefined
}

const MOST_FILES = 12
/** Names of files without what says their kind. */
const bare = (name: string) => name.replace(/\.\w+$/, '').slice(0, 80)

/** Weather files on their way into stations: dropped, looked into one after the other, kept with their own place. */
export function useWeatherFiles() {
  const { parse } = useUnits()
  const { progress, message, send, cancel } = useFileSend()
  const dropped = shallowRef<DroppedFile[]>([])
  let count = 0

  async function drop(files: readonly File[]): Promise<void> {
    for (const file of files.slice(0, MOST_FILES - dropped.value.length)) {
      const one: DroppedFile = shallowReactive({
        id: ++count,
        file,
        told: undefined,
        problem: '',
        rain: '',
        mapping: useDailyMapping(),
        kept: undefined,
      })
      dropped.value = [...dropped.value, one]
      if (file.size > MOST_FILE_BYTES) {
        one.problem = t('weather.largerThan16Mb')
        continue
      }
      one.told = await send<WeatherFileTold>('/api/weather-files', file)
      if (!one.told) one.problem = message.value || t('weather.itCouldNotBe')
      else if (!one.told.climate) one.mapping.show(one.told)
    }
  }
  const remove = (id: number) => {
    dropped.value = dropped.value.filter((one) => one.id !== id)
  }

  const normalsOf = ({ told, rain }: DroppedFile): Normals | undefined => {
    if (!told?.climate) return told?.counted?.normals ?? undefined
    const read = parse('waterMm', rain)
    return read.ok ? { ...told.climate, ...evenRain(read.value) } : undefined
  }
  /** Of the first file that tells one: drawn while nothing is kept yet. */
  const normals = computed(() => dropped.value.map(normalsOf).find(Boolean))
  const place = computed(() => dropped.value.find(({ told }) => told?.station)?.told?.station ?? undefined)

  /** What keeps a file from being kept; empty where nothing does. */
  function lacking(one: DroppedFile, typed: Place | undefined): string {
    if (one.problem || !one.told) return one.problem || t('weather.itIsStillBeing')
    if (!one.told.station && !typed) return t('weather.itDoesNotSay')
    if (one.told.climate) return normalsOf(one) ? '' : t('weather.putInTheRain')
    return one.mapping.ready.value ? '' : t('weather.chooseItsColumns')
  }

  async function stationFor(one: DroppedFile, typed: Place | undefined, coastal: boolean): Promise<Station> {
    const at = one.told!.station
    const name = at?.name || bare(one.file.name) || t('setUp.home')
    const all = await $fetch<Station[]>('/api/stations')
    const there = all.find((station) => station.name === name)
    if (there) return there
    const wanted: NewStation = {
      name,
      latDeg: at?.latDeg ?? typed!.latDeg,
      lonDeg: at?.lonDeg ?? typed!.lonDeg,
      heightM: at?.heightM ?? null,
      coastal,
      normals: one.told!.climate ? normalsOf(one)! : null,
    }
    return $fetch<Station>('/api/stations', { method: 'POST', body: wanted })
  }
  /** Keeps one; kept already it is not sent again. @returns false where its problem is said beside it */
  async function keepOne(one: DroppedFile, typed: Place | undefined, coastal: boolean): Promise<boolean> {
    if (one.kept) return true
    const lacks = lacking(one, typed)
    if (lacks) {
      one.problem = lacks
      return false
    }
    try {
      const station = await stationFor(one, typed, coastal)
      if (one.told!.climate) one.kept = 'normals'
      else {
        const query = new URLSearchParams({ what: 'days', mapping: JSON.stringify(one.mapping.mappingOf(false)) })
        one.kept = await send<ImportResult>(`/api/stations/${station.id}/import?${query}`, one.file)
        if (!one.kept) one.problem = message.value
      }
    } catch (error) {
      one.problem = problemOf(error).message
    }
    return one.kept !== undefined
  }
  async function keep(typed: Place | undefined, coastal: boolean): Promise<boolean> {
    let all = true
    for (const one of dropped.value) {
      // A file that could not be read keeps nobody from going on.
      if (!one.told) continue
      one.problem = ''
      all = (await keepOne(one, typed, coastal)) && all
    }
    return all
  }
  return { dropped, drop, remove, keep, normals, place, progress, cancel }
}
