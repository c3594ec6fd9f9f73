import type { Dexie, EntityTable } from 'dexie'

/** An answer of the server as it was heard last, by its path and query. */
interface KeptAnswer {
  path: string
  answer: unknown
  heardAt: number
}

/** Something to be sent when there is a network again. */
export interface Waiting {
  /** In the order they were made. */
  order?: number
  /** Of what is sent, so that the server makes one of it however often it comes. */
  id: string
  kind: 'seen' | 'mark' | 'photo'
  lawnId: string
  jobId: string
  /** Who made it: nobody else sends it. */
  by: string
  path: string
  body: object
  /** What the server said against it; empty while nobody was asked. */
  refused: string
}

type Device = Dexie & {
  answers: EntityTable<KeptAnswer, 'path'>
  waiting: EntityTable<Waiting, 'order'>
}

/** Answers that are kept; the oldest go. A lawn has about six of them. */
const MOST_ANSWERS = 400
let opened: Promise<Device> | undefined

/** What the device keeps, opened once; its code comes after the first page. */
function device(): Promise<Device> {
  opened ??= import('dexie').then(({ Dexie }) => {
    const db = new Dexie('upper-sill') as Device
    db.version(1).stores({ answers: 'path, heardAt', waiting: '++order, &id, lawnId' })
    return db
  })
  return opened
}

/** Keeps an answer. A device that keeps nothing, as in a private window, is no reason to fail. */
export async function keepAnswer(path: string, answer: unknown): Promise<void> {
  try {
    const { answers } = await device()
    await answers.put({ path, answer, heardAt: Date.now() })
    const over = (await answers.count()) - MOST_ANSWERS
    if (over > 0) await answers.bulkDelete(await answers.orderBy('heardAt').limit(over).primaryKeys())
  } catch {
    // Shown is what the server said; only without a network it is missed.
  }
}

export async function keptAnswer(path: string): Promise<KeptAnswer | undefined> {
  try {
    return await (await device()).answers.get(path)
  } catch {
    return undefined
  }
}

/** @throws Error where the device keeps nothing */
export const addWaiting = async (one: Waiting): Promise<void> => {
  const { waiting } = await device()
  // Made twice under one id it is one.
  if (!(await waiting.where('id').equals(one.id).count())) await waiting.add(one)
}
/** @param by who is at work */
export const allWaiting = async (by: string): Promise<Waiting[]> =>
  (await (await device()).waiting.orderBy('order').toArray()).filter((one) => one.by === by)
export const dropWaiting = async (id: string): Promise<void> => {
  await (await device()).waiting.where('id').equals(id).delete()
}
export const refuseWaiting = async (id: string, refused: string): Promise<void> => {
  await (await device()).waiting.where('id').equals(id).modify({ refused })
}

/** Forgets what was heard, for somebody else to begin with nothing. What waits is sent by who made it. */
export async function forgetAnswers(): Promise<void> {
  try {
    await (await device()).answers.clear()
  } catch {
    // What keeps nothing has nothing to forget.
  }
}

/** Forgets all that the device keeps, as when somebody signs out. */
export async function wipeDevice(): Promise<void> {
  try {
    const db = await device()
    await Promise.all([db.answers.clear(), db.waiting.clear()])
  } catch {
    // What keeps nothing has nothing to forget.
  }
}
