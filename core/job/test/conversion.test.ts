import { expect, test } from 'vitest'
import { groundOf, jobOf } from '#contract/lawn'
import { readFileSync } from 'node:fs'
import { gunzipSync } from 'node:zlib'
import { candidatesOf } from '../decision/candidates'
import { conversionOf } from '../decision/conversion'
import { planJob } from '../planJob'
import { planningOf } from '../planningFigures'
import { firmOfKept, seasonOfKept, withJob, type Kept } from './keptLawns'

// By hand: 20 % a season of what is left is 20, 36, 48.8 %; a hard renovation of 45 % and 20 % after it 45, 56, 64.8 %.
test('another species takes what is left of the ground season by season, by the firm’s own figures', () => {
  const shares = (code: 'overseed' | 'hard' | 'kill' | 'level', planning = planningOf()) =>
    conversionOf(code, planning)?.bySeason.map(({ value }) => Math.round(value * 1000) / 1000)
  expect(shares('overseed')).toEqual([0.2, 0.36, 0.488])
  expect(shares('hard')).toEqual([0.45, 0.56, 0.648])
  expect(shares('overseed', planningOf({ convertOverseed: 0.5 }))).toEqual([0.5, 0.75, 0.875])
  expect(shares('level')).toBeUndefined()
})

// Found in the running application: a possible programme that nothing calls for stood between them and pushed one off.
test('three ways to another species stand side by side, each with its own reason', () => {
  const url = new URL('demoLawns.json.gz', import.meta.url)
  const kept = JSON.parse(gunzipSync(readFileSync(url)).toString()) as Kept
  const { lawn: found, weather } = kept.lawns.find(({ lawn }) => lawn.client === 'Odell')!
  const lawn = withJob(found)
  const ground = { ...groundOf(lawn), wishes: { ...lawn.wishes, goal: 'species' as const } }
  const [job, firm, season] = [jobOf(lawn), firmOfKept(kept), seasonOfKept(weather)]
  const { decision } = planJob(job, ground, firm, season)
  const shown = candidatesOf({ job, lawn: ground, firm, season, decision: decision! }).slice(0, 3)
  expect(new Set(shown.map(({ programme }) => programme.code))).toEqual(new Set(['overseed', 'hard', 'kill']))
  expect(new Set(shown.map(({ why }) => why.text.key)).size).toBe(3)
})
