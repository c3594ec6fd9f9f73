import { arch, cpus, platform, release, totalmem } from 'node:os'

/** One line of the bench: what was measured, what came out, what is wanted of it. */
export interface Measured {
  what: string
  figure: string
  /** Target in words, and whether it was met; none for figures that are only told. */
  wanted?: { words: string; met: boolean }
}

export const machine = (): string =>
  `${cpus().length} cores of ${cpus()[0]?.model.trim() ?? 'an unnamed processor'}, ${Math.round(totalmem() / 2 ** 30)} GB, ${platform()} ${release()} ${arch()}, Node ${process.version}`

/** Value below which a share of the sorted times lies. */
export function quantile(times: readonly number[], share: number): number {
  const sorted = [...times].sort((a, b) => a - b)
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]!
}

export function table(rows: readonly Measured[]): string {
  const lines = rows.map(
    ({ what, figure, wanted }) =>
      `| ${what} | ${figure} | ${wanted ? `${wanted.words}${wanted.met ? '' : ', **missed**'}` : ''} |`,
  )
  return ['| measured | figure | wanted |', '|---|---|---|', ...lines].join('\n')
}
