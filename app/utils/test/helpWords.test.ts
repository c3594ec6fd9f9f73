import { readdirSync } from 'node:fs'
import { expect, test } from 'vitest'
import { helpOf } from '../helpWords'
import { t } from '../words'

test('every view of a lawn and every place has its help', () => {
  const steps = readdirSync('app/pages/lawns/[id]').filter((name) => name.endsWith('.vue') && name !== 'index.vue')
  for (const name of steps) {
    const path = `/lawns/5f0c9a52-6a1e-4d7f-9a53-1f3f0a6f0e01/${name.replace('.vue', '')}`
    expect([path, helpOf(path) !== undefined]).toEqual([path, true])
  }
  for (const path of [
    '/lawns',
    '/lawns/5f0c9a52/jobs',
    '/lawns/5f0c9a52/jobs/77aa',
    '/shed',
    '/weather',
    '/firm',
    '/set-up',
  ])
    expect([path, helpOf(path)?.does.every((line) => t(line).length > 20)]).toEqual([path, true])
  expect(helpOf('/sign-in')).toBeUndefined()
})
