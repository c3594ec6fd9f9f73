import { readPlan, type ReadPlan } from '#contract/planFile'
import { readSoilCsv, type ReadSoil } from '#contract/soilCsv'
import type { Day } from '#core/measure/calendar'
import type { PlaceDeg } from '#core/site/geodesy'
import { parsedFile } from '~/utils/planFiles'

/** A file somebody chose, and what is known besides. */
export type FileAsked =
  | { kind: 'plan'; name: string; text: string; place: PlaceDeg | undefined; near: PlaceDeg }
  | { kind: 'soil'; text: string; today: Day }
export type FileRead = { plan: ReadPlan; soil: ReadSoil }

/** Reads what comes from outside, so that the page goes on whatever it is. */
self.onmessage = async ({ data }: MessageEvent<FileAsked>) => {
  if (data.kind === 'soil') self.postMessage(readSoilCsv(data.text, data.today))
  else {
    const parsed = await parsedFile(data.name, data.text)
    self.postMessage(parsed.ok ? readPlan(parsed.file, data.place, data.near) : parsed)
  }
}
