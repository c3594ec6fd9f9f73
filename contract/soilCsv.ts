import { say, type Message } from '#core/explain/message'
import { saidIn } from './said'
import { parse } from 'csv-parse/browser/esm/sync'
import { isDay, type Day } from '#core/measure/calendar'
import { delimiterOf, readNumber } from '#core/measure/table'
import { SOIL_METHODS, type SoilTest } from '#core/site/soilTest'
import { soilTestSchema } from './look'

/** What a laboratory may call each value. */
const NAMES: Record<'sampledOn' | 'method' | 'ph' | 'bufferPh' | 'pPpm' | 'kPpm' | 'organicShare', RegExp> = {
  bufferPh: /buffer|\bbph\b|lime index/i,
  ph: /^(soil )?ph\b|water ph/i,
  pPpm: /^p\b|phosph/i,
  kPpm: /^k\b|potass/i,
  organicShare: /organic|^om\b/i,
  method: /method|extract/i,
  sampledOn: /date|sampled/i,
}
const WORDS: Record<keyof typeof NAMES, Message> = {
  bufferPh: say('contract.bufferPh'),
  ph: say('contract.ph'),
  pPpm: say('contract.pPpm'),
  kPpm: say('contract.kPpm'),
  organicShare: say('contract.organicShare'),
  method: say('contract.method'),
  sampledOn: say('contract.sampledOn'),
}

export type ReadSoil = { ok: true; test: SoilTest; found: Message[] } | { ok: false; message: Message }

/** A file may have names across the top, or one value a line. */
function pairsOf(rows: string[][]): [name: string, value: string][] {
  const known = (row: readonly string[]) =>
    row.filter((cell) => Object.values(NAMES).some((name) => name.test(cell))).length
  if (rows.length >= 2 && known(rows[0]!) >= 2) return rows[0]!.map((name, i) => [name, rows[1]![i] ?? ''])
  return rows.map(([name = '', value = '']) => [name, value])
}

/**
 * Reads a laboratory's report from CSV: names across the top, or one value a line. Pounds an acre are halved to ppm, as is
 * usual for the top 6 to 7 in of soil (handbook knowledge, from memory).
 * @returns the report, or a sentence on what is wrong
 */
export function readSoilCsv(text: string, today: Day): ReadSoil {
  let rows: string[][]
  const delimiter = delimiterOf(text)
  try {
    rows = parse(text, {
      bom: true,
      delimiter,
      max_record_size: 20_000,
      trim: true,
      skip_empty_lines: true,
      relax_column_count: true,
      to: 200,
    }) as string[][]
  } catch {
    return { ok: false, message: say('contract.thisIsNoCsv') }
  }
  const test: SoilTest = {
    sampledOn: today,
    method: 'other',
    ph: null,
    bufferPh: null,
    pPpm: null,
    kPpm: null,
    organicShare: null,
    note: '',
  }
  const found: (keyof typeof NAMES)[] = []
  for (const [name, value] of pairsOf(rows)) {
    const field = (Object.keys(NAMES) as (keyof typeof NAMES)[]).find((key) => NAMES[key].test(name))
    if (!field || !value) continue
    if (field === 'sampledOn') {
      if (isDay(value) && value <= today) test.sampledOn = value as Day
      else continue
    } else if (field === 'method')
      test.method =
        SOIL_METHODS.find((method) => value.toLowerCase().includes(method.toLowerCase().split(/[- ]/)[0]!)) ?? 'other'
    else {
      const number = readNumber(/^[<>]?\s*(-?\d+(?:[.,]\d+)?)/.exec(value)?.[1], delimiter)
      if (number === undefined) continue
      const perAcre = /lb|acre/i.test(`${name} ${value}`)
      test[field] =
        field === 'organicShare'
          ? number / 100
          : perAcre && (field === 'pPpm' || field === 'kPpm')
            ? number / 2
            : number
    }
    found.push(field)
  }
  if (!found.some((field) => field !== 'sampledOn' && field !== 'method'))
    return {
      ok: false,
      message: say('contract.noPhPK'),
    }
  const parsed = soilTestSchema.safeParse(test)
  return parsed.success
    ? { ok: true, test: parsed.data, found: found.map((field) => WORDS[field]) }
    : { ok: false, message: say('contract.reportCannotBe', { problem: saidIn(parsed.error.issues[0]!.message) }) }
}
