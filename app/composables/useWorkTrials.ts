import { say } from '#core/explain/message'
import type { Work } from '#contract/work'
import { anchorCode, isAnchorKey, operationByCode, operationOf } from '#core/job/operations/registry'
import type { Day } from '#core/measure/calendar'

const without = <T>(all: Record<string, T>, key: string): Record<string, T> =>
  Object.fromEntries(Object.entries(all).filter(([one]) => one !== key))

/** Changes of the run of tasks, each tried out before it is kept. */
export function useWorkTrials({ lawn, shown, tryOut }: OpenLawn) {
  const context = useContextStore()
  const tasks = computed(() => shown.value?.schedule?.tasks ?? [])
  const work = computed(() => lawn.value!.plan.work)
  /** The task whose day is the sowing day, or that of the first dressing. */
  const anchor = computed(() => tasks.value.find(({ key }) => isAnchorKey(key))?.key ?? anchorCode('seeding'))
  const nameOf = (key: string): string =>
    tell(tasks.value.find((task) => task.key === key)?.name ?? operationOf(key)?.name ?? say('work.ownWork'))

  function change(words: string, part: Partial<Work>): void {
    tryOut('work', { words, change: { work: { ...work.value, ...part } } })
  }
  /** A day for some tasks: of the anchor it is the sowing day, of others a day of their own. */
  function day(keys: readonly string[], asked: Day): void {
    const on = asked < context.today ? context.today : asked
    const words = t('work.on', { keys: keys.map(nameOf).join(', '), on: shortDayWithWeekday(on) })
    if (keys.includes(anchor.value)) tryOut('day', { words, change: { sowOn: on } })
    else change(words, { pins: { ...work.value.pins, ...Object.fromEntries(keys.map((key) => [key, on])) } })
  }
  const float = (key: string) => {
    change(t('work.findsItsOwnDay', { key: nameOf(key) }), { pins: without(work.value.pins, key) })
  }
  const skip = (key: string, reason: string) => {
    change(t('work.without', { key: nameOf(key).toLowerCase() }), {
      skipped: { ...work.value.skipped, [key]: reason },
      pins: without(work.value.pins, key),
    })
  }
  const putBack = (key: string) => {
    change(t('work.putBack', { key: nameOf(key) }), { skipped: without(work.value.skipped, key) })
  }
  const add = (code: Work['added'][number]) => {
    change(t('work.putIn', { name: operationByCode(code).name }), { added: [...work.value.added, code] })
  }
  const addOwn = (own: Work['own'][string]) => {
    change(own.name, { own: { ...work.value.own, [`own-${crypto.randomUUID()}`]: own } })
  }
  const takeOut = (key: string) => {
    change(t('work.without', { key: nameOf(key).toLowerCase() }), {
      added: work.value.added.filter((code) => code !== key),
      own: without(work.value.own, key),
      pins: without(work.value.pins, key),
    })
  }
  const overrule = (key: string, code: string, note: string) => {
    change(t('work.overrideWithANote2', { key: nameOf(key) }), {
      overruled: { ...work.value.overruled, [`${key}:${code}`]: note },
    })
  }
  const heed = (key: string, code: string) => {
    change(t('work.overrideRemoved', { key: nameOf(key) }), {
      overruled: without(work.value.overruled, `${key}:${code}`),
    })
  }
  return { anchor, day, float, skip, putBack, add, addOwn, takeOut, overrule, heed }
}
