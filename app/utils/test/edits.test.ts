import { describe, expect, test } from 'vitest'
import { settle } from '#contract/merge'
import { saveMerging, type Versioned } from '../edits'

interface Thing extends Versioned {
  name: string
  areaM2: number
  plan: { rate: number; note: string }
}
const BASE: Thing = { version: 1, name: 'Odell', areaM2: 612, plan: { rate: 20, note: '' } }
const fields = ({ version, name, areaM2, plan }: Thing): Thing => ({ version, name, areaM2, plan })

/** A server that keeps one thing and refuses stale versions, as the real one does. */
function server(kept: Thing) {
  const sent: Thing[] = []
  const send = async (value: Thing): Promise<void> => {
    sent.push(value)
    if (value.version !== kept.version)
      throw {
        data: {
          error: {
            code: 'conflict',
            message: 'Saved meanwhile.',
            theirs: { ...kept, savedBy: 'Wenna', savedAt: '2026-09-08T12:00:00Z' },
          },
        },
      }
    kept = { ...value, version: kept.version + 1 }
  }
  return { send, sent, kept: () => kept }
}

describe('a save that meets another’s', () => {
  test('brings together what each changed alone, and says what came from them', async () => {
    const { send, kept } = server({ ...BASE, version: 3, areaM2: 700, plan: { rate: 20, note: 'gate code' } })
    const outcome = await saveMerging(
      BASE,
      { ...BASE, name: 'Odell House', plan: { rate: 25, note: '' } },
      send,
      fields,
    )
    expect(outcome).toMatchObject({ ok: true, merged: ['areaM2', 'plan.note'], savedBy: 'Wenna' })
    expect(kept()).toEqual({ version: 4, name: 'Odell House', areaM2: 700, plan: { rate: 25, note: 'gate code' } })
  })

  test('asks where both changed one field, and keeps neither until it is settled', async () => {
    const { send, kept } = server({ ...BASE, version: 2, areaM2: 700, plan: { rate: 30, note: '' } })
    const outcome = await saveMerging(BASE, { ...BASE, areaM2: 650, plan: { rate: 25, note: '' } }, send, fields)
    expect(kept().areaM2).toBe(700)
    if (outcome.ok || !('clash' in outcome)) throw new Error('no clash')
    const { merged, theirs } = outcome.clash
    expect(merged.clashes).toEqual([
      { path: 'areaM2', base: 612, mine: 650, theirs: 700 },
      { path: 'plan.rate', base: 20, mine: 25, theirs: 30 },
    ])
    await saveMerging(theirs, settle(merged, new Set(['plan.rate'])), send, fields)
    expect(kept()).toMatchObject({ areaM2: 650, plan: { rate: 30 }, version: 3 })
  })

  test('sent again after its answer was lost finds its own work and is content', async () => {
    const mine = { ...BASE, areaM2: 650 }
    const { send, sent, kept } = server({ ...mine, version: 2 })
    expect(await saveMerging(BASE, mine, send, fields)).toMatchObject({ ok: true, merged: [] })
    expect(kept().areaM2).toBe(650)
    expect(sent).toHaveLength(2)
  })

  test('hands any other failure on as it is, and stops asking a server that never takes it', async () => {
    const full = async () => {
      throw { data: { error: { code: 'full', message: 'No room.' } } }
    }
    expect(await saveMerging(BASE, { ...BASE, areaM2: 1 }, full, fields)).toMatchObject({
      ok: false,
      problem: { code: 'full' },
    })
    let asked = 0
    const never = async () => {
      throw { data: { error: { code: 'conflict', message: 'x', theirs: { ...BASE, version: ++asked } } } }
    }
    expect(await saveMerging(BASE, { ...BASE, areaM2: 1 }, never, fields)).toMatchObject({
      ok: false,
      problem: { code: 'conflict' },
    })
    expect(asked).toBeLessThan(10)
  })
})
