import { told } from '#core/explain/test/told'
import { mkdirSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import * as echarts from 'echarts'
import { soilColumn, stepColumn, thermalDiffusivityM2PerS } from '#core/soil/soil'
import { climateFromNormals } from '#core/weather/climate'
import { COLUMBUS, COLUMBUS_LAT } from '#core/weather/test/stations'
import { emptyRun } from '#core/weather/weather'
import { steadyEmergenceDays } from '#core/establishment/germination'
import { buildSeason } from '#core/establishment/season'
import { oddsOf } from '#core/establishment/whatIf'
import { pureSeed } from '#core/seed/blends'
import { grassByCode } from '#core/grass/grasses'
import { addDays, toDay } from '#core/measure/calendar'
import { tellerOf } from '#words/teller'
import { AS_TOLD, followTopLayer, topLayer, type BedCover } from '#core/water/topLayer'

const { shortDay } = tellerOf('en-US').days

/** Figures of docs/model.md, drawn from what the core computes. */
const FOLDER = fileURLToPath(new URL('../docs/model/', import.meta.url))
const [INK, MOSS, CLAY, FROST, STRAW] = ['#172019', '#3c6326', '#9a3e1b', '#2b5f84', '#735407']
const base = {
  animation: false,
  backgroundColor: '#fbfbf5',
  textStyle: { fontFamily: 'sans-serif', color: INK },
  grid: { left: 56, right: 24, top: 44, bottom: 48 },
  legend: { top: 8 },
}
const axis = (name: string, nameGap = 32) => ({
  type: 'value' as const,
  name,
  nameLocation: 'middle' as const,
  nameGap,
})
const line = (name: string, data: number[][], color: string, change: object = {}) => ({
  type: 'line' as const,
  name,
  data,
  symbol: 'none',
  lineStyle: { width: 2 },
  itemStyle: { color },
  ...change,
})

function draw(name: string, option: object): void {
  const chart = echarts.init(null, null, { renderer: 'svg', ssr: true, width: 720, height: 320 })
  chart.setOption({ ...base, ...option })
  writeFileSync(`${FOLDER}${name}.svg`, chart.renderToSVGString())
  chart.dispose()
}

function windows(): void {
  const today = toDay('2026-02-15')
  const ground = { latDeg: COLUMBUS_LAT, coastal: false, texture: 'loam', cover: 'thin turf', sun: 'full' } as const
  const input = { observed: [], forecast: [], climate: climateFromNormals(COLUMBUS), ground, years: 60, seed: 1 }
  const risk = { covering: 'covered', slopeShare: 0, bed: { cover: 'compost', coverMm: 5, watering: AS_TOLD } } as const
  // Two halves of a year, each looked at from its own beginning.
  const series = (
    [
      ['PRG', MOSS],
      ['TF', CLAY],
      ['KBG', FROST],
    ] as const
  ).map(([grass, color]) => {
    const data = [0, 150].flatMap((from) => {
      const season = buildSeason({ ...input, today: addDays(today, from) })
      return oddsOf(
        { code: grass, group: 'seed', words: grassByCode(grass).name, seed: pureSeed(grass), ground, risk },
        season,
      )
        .odds.chance.slice(0, 150)
        .map(({ of100 }, i) => [from + i, of100])
    })
    return line(told(grassByCode(grass).name), data, color)
  })
  draw('windows', {
    xAxis: {
      ...axis('sown on'),
      min: 0,
      max: 300,
      interval: 30,
      axisLabel: { formatter: (days: number) => shortDay(addDays(today, days)) },
    },
    yAxis: { ...axis('good years of 60'), max: 60, interval: 15 },
    series,
  })
}

function emergence(): void {
  const series = (
    [
      ['PRG', MOSS],
      ['TF', CLAY],
      ['KBG', FROST],
      ['BER', STRAW],
    ] as const
  ).map(([code, color]) =>
    line(
      told(grassByCode(code).name),
      Array.from({ length: 51 }, (_, i) => 8 + i * 0.5).flatMap((tempC) => {
        const days = steadyEmergenceDays(grassByCode(code), tempC)
        return days !== undefined && days <= 50 ? [[tempC, Math.round(days * 10) / 10]] : []
      }),
      color,
    ),
  )
  draw('emergence', {
    xAxis: { ...axis('soil at the seed, °C'), min: 8, max: 33 },
    yAxis: { ...axis('days to median emergence'), max: 50 },
    series,
  })
}

function wave(): void {
  const diffusivityM2PerS = thermalDiffusivityM2PerS('loam')
  const column = soilColumn({ diffusivityM2PerS, initialC: 15 })
  const range = Array.from(column.depthsM, () => ({ low: Infinity, high: -Infinity }))
  for (let h = 0; h < 24 * 60; h++) {
    stepColumn(column, 15 + 10 * Math.sin((2 * Math.PI * h) / 24))
    if (h >= 24 * 59)
      column.tempC.forEach((c, i) => {
        range[i]!.low = Math.min(range[i]!.low, c)
        range[i]!.high = Math.max(range[i]!.high, c)
      })
  }
  const dampingM = Math.sqrt((2 * diffusivityM2PerS * 86_400) / (2 * Math.PI))
  const depths = Array.from(column.depthsM).filter((z) => z < 0.5)
  draw('wave', {
    xAxis: { ...axis('depth, mm'), max: 500 },
    yAxis: axis('half of the day’s range, K'),
    series: [
      line(
        'analytic',
        Array.from({ length: 51 }, (_, i) => [i * 10, 10 * Math.exp(-(i * 0.01) / dampingM)]),
        INK,
      ),
      {
        type: 'scatter',
        name: 'model',
        symbolSize: 8,
        itemStyle: { color: CLAY },
        data: depths.map((z, i) => [z * 1000, (range[i]!.high - range[i]!.low) / 2]),
      },
    ],
  })
}

function bed(): void {
  const run = emptyRun(toDay('2026-08-20'), 3)
  run.tmaxC.fill(29)
  run.tminC.fill(17)
  const covers: [BedCover, number, string, string][] = [
    ['none', 0, 'not covered', CLAY],
    ['straw', 10, 'straw', STRAW],
    ['compost', 5, 'compost, 5 mm', MOSS],
  ]
  const series = covers.map(([cover, coverMm, name, color]) => {
    const { leftShare } = followTopLayer(
      run,
      { latDeg: COLUMBUS_LAT, sun: 'full' },
      topLayer('sandy loam', cover, coverMm, 0),
      { timesADay: 0, bannedUntil: null },
    )
    return line(
      name,
      Array.from(leftShare, (left, h) => [h, Math.round(left * 1000) / 10]),
      color,
    )
  })
  draw('bed', {
    xAxis: { ...axis('hours'), max: 72, interval: 12 },
    yAxis: { ...axis('water left, %'), max: 100 },
    series,
  })
}

mkdirSync(FOLDER, { recursive: true })
for (const make of [windows, emergence, wave, bed]) make()
console.log('• Figures of docs/model.md are drawn.')
