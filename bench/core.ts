import { climateFromNormals } from '#core/climate/normals'
import { soilColumn, stepColumn } from '#core/climate/soil'
import { buildSeason, DAYS_AHEAD } from '#core/establishment/season'
import { summarise } from '#core/establishment/outlook'
import { grassByCode } from '#core/grass/grasses'
import { toDay } from '#core/quantity/calendar'
import { PELLMOOR } from '../demo/pellmoor'
import { quantile, type Measured } from './figures'

/** Median of some runs, ms. */
function timed(runs: number, work: () => void): number {
  return quantile(Array.from({ length: runs }, () => {
    const start = performance.now()
    work()
    return performance.now() - start
  }), 0.5)
}

const HOURS = 365 * 24

/** Speed of the computation alone. */
export function benchCore(): Measured[] {
  const column = soilColumn({ diffusivityM2PerS: 0.7e-6, initialC: 12 })
  const nodes = column.depthsM.length
  const soilMs = timed(15, () => {
    for (let h = 0; h < HOURS; h++) stepColumn(column, 12 + 10 * Math.sin(h / 3.8))
  })
  // The same multiplications and additions without the solver around them: the floor that the machine sets.
  const plain = new Float64Array(nodes).fill(1)
  const bareMs = timed(15, () => {
    for (let h = 0; h < HOURS; h++) {
      let carried = 12
      for (let i = 1; i < nodes; i++) plain[i] = carried = (plain[i]! + 0.3 * (carried - plain[i]! + carried) + 0.2 * (plain[i]! - 1)) * 0.6
      for (let i = nodes - 2; i > 0; i--) plain[i] = carried = plain[i]! + 0.3 * carried
    }
  })
  const climate = climateFromNormals(PELLMOOR.normals)
  const ground = { latDeg: PELLMOOR.latDeg, coastal: false, texture: 'loam', cover: 'thin turf', sun: 'full' } as const
  const season = () => buildSeason({ today: toDay('2026-09-08'), observed: [], forecast: [], climate, ground, years: 30, seed: 1 })
  const seasonMs = timed(5, season)
  const built = season()
  const outlookMs = timed(5, () => { summarise(built, grassByCode('TF'), { covering: 'covered', slopeShare: 0 }, 75, climate.normals) })
  const millions = (HOURS * nodes) / soilMs / 1000
  return [
    { what: `soil, a year by the hour, ${nodes} nodes`, figure: `${millions.toFixed(1)} million node-steps/s (${soilMs.toFixed(1)} ms)`, wanted: { words: '60 million/s', met: millions >= 60 } },
    { what: 'the same against a bare loop of its arithmetic', figure: `${(soilMs / bareMs).toFixed(2)} times` },
    { what: `season, 30 years of ${DAYS_AHEAD} days`, figure: `${seasonMs.toFixed(0)} ms` },
    { what: 'odds and summary of one grass', figure: `${outlookMs.toFixed(0)} ms` },
  ]
}
