import type { ECBasicOption } from 'echarts/types/dist/shared'
import type { Cause } from '#core/establishment/sowing'
import { meanAround, type DayOdds } from '#core/establishment/window'
import type { MessageKey } from '#words/message'
import { CAUSES } from './causeWords'
import { t } from './words'

/** Of 100 years by day, those that make a good stand and those that each cause spoils; all of a day add to 100. */
export interface OddsStack {
  good: number[]
  causes: { code: Cause; values: number[] }[]
}

/** @param years over which the odds were counted */
export function stackOf(odds: readonly Pick<DayOdds, 'good' | 'causes'>[], years: number): OddsStack {
  const of100 = (counts: readonly number[]) => meanAround(counts).map((count) => (count / years) * 100)
  return {
    good: of100(odds.map(({ good }) => good)),
    causes: CAUSES.map(({ code }) => ({ code, values: of100(odds.map(({ causes }) => causes[code])) })),
  }
}

/** One layer of the stacked chart: a cause of failure, or the good years. */
interface Layer {
  name: string
  colour: string
  text: string
  decal?: object
  years: number[]
}

const line = (
  rotation: number,
  dashArrayX: number | [number, number],
  dashArrayY: number | [number, number],
  colour: string,
) => ({
  symbol: 'rect',
  color: colour,
  dashArrayX,
  dashArrayY,
  rotation,
})

const LOOK: Record<Cause, Omit<Layer, 'years' | 'name'> & { name: MessageKey }> = {
  heat: {
    name: 'sowingDay.heatBeforeRoots',
    colour: '#f2dccb',
    text: '#9a3e1b',
    decal: line(-Math.PI / 4, [1, 0], [1, 8], '#cf8f73'),
  },
  washout: {
    name: 'sowingDay.washout',
    colour: '#fbfbf5',
    text: '#172019',
    decal: {
      symbol: 'circle',
      color: '#172019',
      symbolSize: 0.55,
      dashArrayX: [
        [5, 5],
        [0, 5, 5, 0],
      ],
      dashArrayY: [5, 0],
    },
  },
  birds: {
    name: 'sowingDay.birds',
    colour: '#dfe3e8',
    text: '#39424e',
    decal: line(Math.PI / 2, [1, 0], [1, 6], '#8a95a3'),
  },
  weeds: {
    name: 'sowingDay.summerWeeds',
    colour: '#e3dccb',
    text: '#5d4a1d',
    decal: {
      symbol: 'triangle',
      color: '#9a8450',
      symbolSize: 0.6,
      dashArrayX: [
        [6, 6],
        [0, 6, 6, 0],
      ],
      dashArrayY: [6, 0],
    },
  },
  dry: {
    name: 'sowingDay.driedOut',
    colour: '#f3e7bf',
    text: '#735407',
    decal: line(Math.PI / 4, [1, 0], [1, 7], '#b8923a'),
  },
  frost: {
    name: 'sowingDay.winterBeforeRoots',
    colour: '#d5e3eb',
    text: '#2b5f84',
    decal: line(0, [1, 0], [1, 6], '#6d9ab8'),
  },
  cold: {
    name: 'sowingDay.tooColdToSprout',
    colour: '#d5e3eb',
    text: '#2b5f84',
    decal: line(0, [1, 0], [1, 3], '#6d9ab8'),
  },
}

const labelPx = (name: string): number => Math.round(name.length * 6.6) + 12

/**
 * Where a layer is thickest, if thick enough to carry its name, and the name within the chart: day and height of the
 * middle.
 */
function labelPlace(
  layers: readonly Layer[],
  at: number,
  marginDays: number,
): { day: number; height: number } | undefined {
  const { years: own } = layers[at]!
  const room = (i: number) => Math.min(i, own.length - 1 - i)
  let day: number | undefined
  own.forEach((count, i) => {
    if (room(i) < marginDays) return
    if (day === undefined || count > own[day]! || (count === own[day]! && room(i) > room(day))) day = i
  })
  if (day === undefined || own[day]! < 22) return undefined
  const below = layers.slice(0, at).reduce((sum, layer) => sum + layer.years[day!]!, 0)
  return { day, height: below + own[day]! / 2 }
}

/**
 * Options of the stacked chart: of 100 years, how many make a good stand for each sowing day, and what spoils the rest.
 * @param names of layers that are called otherwise here
 */
export function oddsChart(
  { good, causes }: OddsStack,
  labels: readonly string[],
  grid: { left: number; right: number; perDay: number },
  names: Partial<Record<Cause | 'good', string>> = {},
): ECBasicOption {
  const layers: Layer[] = [
    { name: names.good ?? t('sowingDay.goodStand'), colour: '#dce5c6', text: '#3c6326', years: good },
    ...causes.map(({ code, values }) => ({ ...LOOK[code], name: names[code] ?? t(LOOK[code].name), years: values })),
  ]
  const series = layers.map((layer, i) => {
    const place = labelPlace(layers, i, labelPx(layer.name) / 2 / grid.perDay)
    return {
      type: 'line',
      name: layer.name,
      stack: 'years',
      symbol: 'none',
      data: layer.years,
      silent: true,
      lineStyle: { width: i === 0 ? 2.5 : 0, color: '#3c6326' },
      itemStyle: { color: layer.colour, ...(layer.decal ? { decal: layer.decal } : {}) },
      areaStyle: { color: layer.colour, opacity: 1 },
      ...(place
        ? {
            markPoint: {
              silent: true,
              symbol: 'rect',
              symbolSize: [labelPx(layer.name), 18],
              itemStyle: { color: i === 0 ? '#dce5c6' : '#fbfbf5', decal: { symbol: 'none' } },
              data: [
                {
                  coord: [place.day, place.height],
                  label: {
                    formatter: layer.name,
                    color: layer.text,
                    fontWeight: 650,
                    fontSize: 12,
                    fontFamily: 'Archivo Variable',
                  },
                },
              ],
            },
          }
        : {}),
    }
  })
  const axisText = { color: '#434c41', fontSize: 12, fontFamily: 'Archivo Variable' }
  return {
    animation: false,
    grid: { left: grid.left, right: grid.right, top: 34, bottom: 24 },
    xAxis: {
      type: 'category',
      data: labels,
      axisLabel: { ...axisText, interval: (i: number) => labels[i] !== '' },
      axisTick: { show: false },
      axisLine: { lineStyle: { color: '#172019' } },
    },
    yAxis: {
      type: 'value',
      min: 0,
      max: 100,
      interval: 20,
      axisLabel: axisText,
      splitLine: { lineStyle: { color: '#172019', opacity: 0.14 } },
    },
    series,
  }
}
