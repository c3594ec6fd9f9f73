import type { Context } from '#contract/context'
import { schoolsOf } from '#contract/firm'
import { stationsOf } from '../records/stations'
import { answer } from '../utils/answer'

export default answer(async (_event, { firm, person, today }): Promise<Context> => {
  const { id, schools, ...settings } = firm
  const home = (await stationsOf(id)).find((station) => station.home)
  return { firm: { ...settings, schools: schoolsOf(schools), homeStationId: home?.id ?? null }, person, today }
})
