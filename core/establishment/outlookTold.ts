import type { JudgedReading } from '../soil/probe'
import { columnsOf, rowsOfColumns, type Columns } from '../measure/columns'
import type { Outlook } from './outlook'
import type { SowingDay } from './sowingDay'

/** An outlook as it is kept and sent: its long tables by columns, its years by runs. */
export type OutlookTold = Omit<Outlook, 'sowing' | 'readings'> & { sowing: Columns; readings: Columns }

/** Letters as runs of the same: "ggghh" is told as "g3h2". */
const runsOf = (letters: string): string => letters.replace(/(.)\1*/g, (run) => `${run[0]!}${run.length}`)
const lettersOf = (runs: string): string =>
  runs.replace(/(\D)(\d+)/g, (_, letter: string, count: string) => letter.repeat(Number(count)))

export const tellOutlook = (outlook: Outlook): OutlookTold => ({
  ...outlook,
  grain: outlook.grain.map(runsOf),
  sowing: columnsOf(outlook.sowing),
  readings: columnsOf(outlook.readings),
})

export const readOutlook = (told: OutlookTold): Outlook => ({
  ...told,
  grain: told.grain.map(lettersOf),
  sowing: rowsOfColumns<SowingDay>(told.sowing),
  readings: rowsOfColumns<JudgedReading>(told.readings),
})
