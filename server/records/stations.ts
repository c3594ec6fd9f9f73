import type { Day } from '#core/measure/calendar'
import type { DailyWeather, ForecastDay } from '#core/weather/weather'
import type { ProbeReading } from '#core/soil/probe'
import { normalsKept, type Gap, type NewStation, type Station, type StationEdit } from '#contract/station'
import { inPieces, type RowPieces } from '#core/measure/rows'
import { inFirm, oneAtATime, rowsOf } from './db'
import { roomFor } from './quotas'

export interface StationRecord extends Station {
  feedPath: string | null
  /** Goes up with all that the station tells: days, forecasts, readings. */
  toldVersion: number
}

const SELECT = `
  select s.id, s.name, s.kind, s.lat_deg as "latDeg", s.lon_deg as "lonDeg", s.height_m as "heightM", s.coastal, s.home,
    s.version, s.feed_path as "feedPath", s.normals,
    s.few_figures as "fewFigures",
    s.told_version as "toldVersion", s.days, s.first_day as "firstDay", s.last_day as "lastDay"
  from stations s`

/** Rows of the firm, which is $1. */
const ask = <Row extends object>(firmId: string, sql: string, ...values: unknown[]): Promise<Row[]> =>
  rowsOf<Row>(firmId, sql, [firmId, ...values])

/** Changes the firm's rows, which is $1, by one statement. @returns what it tells of them */
const change = (firmId: string, sql: string, ...values: unknown[]): Promise<object[]> =>
  inFirm(firmId, async (client) => (await client.query<object>(sql, [firmId, ...values])).rows)

export async function stationsOf(firmId: string): Promise<StationRecord[]> {
  return ask<StationRecord>(firmId, `${SELECT} where s.firm_id = $1 order by s.home desc, s.name`)
}

export async function stationById(firmId: string, id: string): Promise<StationRecord | undefined> {
  return (await ask<StationRecord>(firmId, `${SELECT} where s.firm_id = $1 and s.id = $2`, id))[0]
}

/** @returns undefined when the firm has a station of that name */
export async function addStation(firmId: string, station: NewStation): Promise<StationRecord | undefined> {
  const id = await inFirm(firmId, async (client) => {
    // Of two first stations one is home, and no two have one name.
    await oneAtATime(client, firmId)
    const { rows } = await client.query<{ id: string }>(
      `insert into stations (firm_id, name, kind, lat_deg, lon_deg, coastal, height_m, normals, few_figures, home)
       values ($1, $2, 'imported', $3, $4, $5, $6, $7, $8, not exists (select from stations where firm_id = $1 and home))
       on conflict (firm_id, name) do nothing returning id`,
      [
        firmId,
        station.name,
        station.latDeg,
        station.lonDeg,
        station.coastal,
        station.heightM,
        normalsKept(station),
        station.fewFigures ?? null,
      ],
    )
    await roomFor(client, firmId, 'stations')
    return rows[0]?.id
  })
  return id === undefined ? undefined : stationById(firmId, id)
}

/** @returns false when somebody saved a newer version in the meantime; 'taken' where another has the name */
export async function saveStation(firmId: string, id: string, station: StationEdit): Promise<boolean | 'taken'> {
  return inFirm(firmId, async (client) => {
    await oneAtATime(client, firmId)
    const { rows } = await client.query(`select from stations where firm_id = $1 and name = $2 and id <> $3`, [
      firmId,
      station.name,
      id,
    ])
    if (rows.length) return 'taken'
    const { rowCount: current } = await client.query(
      `select from stations where firm_id = $1 and id = $2 and version = $3 for update`,
      [firmId, id, station.version],
    )
    if (!current) return false
    // One home station at a time; giving it up is done by choosing another.
    if (station.home)
      await client.query(`update stations set home = false where firm_id = $1 and home and id <> $2`, [firmId, id])
    await client.query(
      `update stations set name = $3, lat_deg = $4, lon_deg = $5, height_m = $6, coastal = $7, normals = $8,
        few_figures = $10, home = home or $9, version = version + 1 where firm_id = $1 and id = $2`,
      [
        firmId,
        id,
        station.name,
        station.latDeg,
        station.lonDeg,
        station.heightM,
        station.coastal,
        normalsKept(station),
        station.home,
        station.fewFigures ?? null,
      ],
    )
    return true
  })
}

/** @returns false where it is the home station, delivers by itself, or a lawn was told to read it */
export async function removeStation(firmId: string, id: string): Promise<boolean> {
  const rows = await change(
    firmId,
    `delete from stations s where firm_id = $1 and id = $2 and not home and feed_path is null
      and not exists (select from lawns l where l.firm_id = $1 and l.station_id = s.id) returning id`,
    id,
  )
  return rows.length === 1
}

/** Most gaps that are named. */
const MOST_GAPS = 60

/** Runs of days without an observation between the first and the last of the record, the latest first. */
export async function gapsOf(firmId: string, stationId: string): Promise<{ gaps: Gap[]; missingDays: number }> {
  const rows = await ask<Gap & { missing: number }>(
    firmId,
    `select day + 1 as "from", next - 1 as "to", next - day - 1 as days, (sum(next - day - 1) over ())::integer as missing
     from (select day, lead(day) over (order by day) as next from weather_days where firm_id = $1 and station_id = $2) d
     where next > day + 1 order by day desc limit ${MOST_GAPS}`,
    stationId,
  )
  return { gaps: rows.map(({ from, to, days }) => ({ from, to, days })), missingDays: rows[0]?.missing ?? 0 }
}

export async function readingsKept(firmId: string, stationId: string): Promise<number> {
  const [row] = await ask<{ count: number }>(
    firmId,
    `select count(*)::integer as count from probe_readings where firm_id = $1 and station_id = $2`,
    stationId,
  )
  return row!.count
}

/** What the ledge needs of a station besides its computed season, read at one moment. */
export interface WeatherNow {
  /** Changes with days, forecasts and readings of the station; part of what a computed season is remembered under. */
  stamp: string
  lastDay: Day | null
  /** The latest that reaches today or beyond, from today on in order of days; empty when there is none. */
  forecast: ForecastDay[]
  forecastIssued: Day | null
  /** Readings from a day up to today, oldest first: `ProbeReading`s as JSON, for a thread that reads them. */
  readings: string
}

/** Hourly readings of some depths over the days that count. */
const MOST_PROBE_READINGS = 6000

export async function weatherNow(firmId: string, stationId: string, today: Day, probeFrom: Day): Promise<WeatherNow> {
  const [row] = await ask<WeatherNow>(
    firmId,
    `select w.stamp, w.last_day as "lastDay", f.forecast, f.issued as "forecastIssued", p.readings from
       (select told_version::text as stamp, last_day from stations where firm_id = $1 and id = $2) w,
       (select coalesce(json_agg(json_build_object('day', day, 'tmaxC', tmax_c, 'tminC', tmin_c, 'rainMm', rain_mm,
          'windKmh', wind_kmh) order by day), '[]') as forecast, max(issued_on) as issued
        from forecast_days where firm_id = $1 and station_id = $2 and day >= $3
          and issued_on = (select max(issued_on) from forecast_days
            where firm_id = $1 and station_id = $2 and issued_on <= $3)) f,
       (select coalesce(json_agg(json_build_object('at', to_char(read_at, 'YYYY-MM-DD"T"HH24:MI'), 'depthMm', depth_mm,
          'tempC', temp_c) order by read_at), '[]')::text as readings
        -- Readings that people note all count; of a logger that reads every minute one an hour and depth says as much.
        from (select read_at, depth_mm, temp_c from (
          select read_at, depth_mm, temp_c, count(*) over () as total, row_number()
            over (partition by date_trunc('hour', read_at), round(depth_mm / 5) order by read_at) as nth
          from probe_readings where firm_id = $1 and station_id = $2 and read_at >= $4::date
            and read_at < $3::date + 1) told
          where total <= ${MOST_PROBE_READINGS} or nth = 1
            order by read_at desc limit ${MOST_PROBE_READINGS}) latest) p`,
    stationId,
    today,
    probeFrom,
  )
  return row!
}

/** The record of a station as text, for a thread that reads it: JSON in the order of days. */
export async function weatherText(firmId: string, stationId: string): Promise<string> {
  const [row] = await ask<{ days: string }>(
    firmId,
    `select coalesce(json_agg(json_build_object('day', day, 'tmaxC', tmax_c, 'tminC', tmin_c, 'rainMm', rain_mm)
        order by day), '[]')::text as days
     from weather_days where firm_id = $1 and station_id = $2`,
    stationId,
  )
  return row!.days
}

/** Keeps each day once. @returns how many are new and how many now read otherwise than before */
export async function keepWeatherRows(
  firmId: string,
  stationId: string,
  pieces: RowPieces,
): Promise<{ added: number; changed: number }> {
  return inFirm(firmId, async (client) => {
    const kept = { added: 0, changed: 0 }
    // Two imports to one station come one after the other: each ends by counting the days of the station.
    await client.query(`select from stations where firm_id = $1 and id = $2 for no key update`, [firmId, stationId])
    for (const piece of pieces) {
      const { rows } = await client.query<{ added: number; changed: number }>(
        `with kept as (
           insert into weather_days as w (firm_id, station_id, day, tmax_c, tmin_c, rain_mm)
           select $1, $2, d.day, d."tmaxC", d."tminC", d."rainMm"
             from json_to_recordset($3::json) as d (day date, "tmaxC" float8, "tminC" float8, "rainMm" float8)
             order by d.day
           on conflict (station_id, day) do update
             set tmax_c = excluded.tmax_c, tmin_c = excluded.tmin_c, rain_mm = excluded.rain_mm, updated_at = now()
             where (w.tmax_c, w.tmin_c, w.rain_mm) is distinct from (excluded.tmax_c, excluded.tmin_c, excluded.rain_mm)
           returning (xmax = 0) as added)
         select count(*) filter (where added)::integer as added, count(*) filter (where not added)::integer as changed
           from kept`,
        [firmId, stationId, piece],
      )
      kept.added += rows[0]!.added
      kept.changed += rows[0]!.changed
    }
    return kept
  })
}

/**
 * In order of days: two imports that lock the same rows then come one after the other instead of waiting for each
 * other.
 */
const byDay = <T extends { day: Day }>(days: readonly T[]): T[] => [...days].sort((a, b) => (a.day < b.day ? -1 : 1))
export const keepWeather = (
  firmId: string,
  stationId: string,
  days: readonly DailyWeather[],
): Promise<{ added: number; changed: number }> => keepWeatherRows(firmId, stationId, inPieces(byDay(days)))

const KEEP_FORECAST = `
  insert into forecast_days (firm_id, station_id, issued_on, day, tmax_c, tmin_c, rain_mm, wind_kmh)
  select $1, $2, $3, * from unnest($4::date[], $5::float8[], $6::float8[], $7::float8[], $8::float8[])
  on conflict (station_id, issued_on, day) do update set tmax_c = excluded.tmax_c, tmin_c = excluded.tmin_c,
    rain_mm = excluded.rain_mm, wind_kmh = excluded.wind_kmh`

const forecastColumns = (unordered: readonly ForecastDay[], days = byDay(unordered)) => [
  days.map((d) => d.day),
  days.map((d) => d.tmaxC),
  days.map((d) => d.tminC),
  days.map((d) => d.rainMm),
  days.map((d) => d.windKmh ?? null),
]

/** A forecast as it was issued on a day takes the place of what was told of the same days before. */
export async function keepForecast(
  firmId: string,
  stationId: string,
  issuedOn: Day,
  days: readonly ForecastDay[],
): Promise<void> {
  await change(firmId, KEEP_FORECAST, stationId, issuedOn, ...forecastColumns(days))
}

/** The whole of a typed forecast: days that were taken out of it are gone. */
export async function replaceForecast(
  firmId: string,
  stationId: string,
  issuedOn: Day,
  days: readonly ForecastDay[],
): Promise<void> {
  await change(
    firmId,
    `with gone as (delete from forecast_days where firm_id = $1 and station_id = $2 and issued_on = $3
      and not (day = any($4::date[])))
     ${KEEP_FORECAST}`,
    stationId,
    issuedOn,
    ...forecastColumns(days),
  )
}

/** A reading of the same place and minute is that reading corrected. */
export async function keepReadingRows(firmId: string, stationId: string, pieces: RowPieces): Promise<void> {
  await inFirm(firmId, async (client) => {
    for (const piece of pieces) {
      await client.query(
        `insert into probe_readings (firm_id, station_id, read_at, depth_mm, temp_c)
         select $1, $2, r.at, r."depthMm", r."tempC"
           from json_to_recordset($3::json) as r (at timestamp, "depthMm" float8, "tempC" float8)
           order by r.at, r."depthMm"
         on conflict (station_id, depth_mm, read_at) do update set temp_c = excluded.temp_c`,
        [firmId, stationId, piece],
      )
    }
  })
}
export const keepReadings = (firmId: string, stationId: string, readings: readonly ProbeReading[]): Promise<void> =>
  keepReadingRows(firmId, stationId, inPieces(readings))
