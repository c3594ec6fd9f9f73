import type { JudgedReading } from '../soil/probe'
import { columnsOf, rowsOfColumns, type Columns } from '../measure/columns'
import type { Outlook } from './outlook'
import type { SowingDay } from './sowingDay'

/** An outlook as it is kept and sent: its long tables by columns. */
export type OutlookTold = Omit<Outlook, 'sowing' | 'readings'> & { sowing: Columns; readings: Columns }

export const tellOutlook = (outlook: Outlook): OutlookTold => ({
  ...outlook,
  sowing: columnsOf(outlook.sowing),
  readings: columnsOf(outlook.readings),
})

export const readOutlook = (told: OutlookTold): Outlook => ({
  ...told,
  sowing: rowsOfColumns<SowingDay>(told.sowing),
  readings: rowsOfColumns<JudgedReading>(told.readings),
})
