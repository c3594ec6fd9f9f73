import { toDay } from '../../measure/calendar'
import type { SoilTest } from '../soilTest'

/** A soil report as a laboratory hands it out. */
export const SOIL: SoilTest = {
  sampledOn: toDay('2026-09-08'),
  method: 'Mehlich-3',
  ph: 6.4,
  bufferPh: null,
  pPpm: 18,
  kPpm: 128,
  organicShare: null,
  note: '',
}
