import { readFileSync } from 'node:fs'
import { expect, test } from 'vitest'
import { sourcesIn } from '../sourceList'

test('every source of the list is read with its words, whole', () => {
  const text = readFileSync('docs/sources.md', 'utf8')
  const sources = sourcesIn(text)
  expect(sources).toHaveLength((text.match(/^- \*\*/gm) ?? []).length)
  expect(sources.find(({ name }) => name === 'FAO-56')!.about).toMatch(
    /^Allen, Pereira, .* table 19 \(from memory\)\.$/,
  )
  expect(sources.every(({ about }) => about.length > 10 && !about.includes('**'))).toBe(true)
})
