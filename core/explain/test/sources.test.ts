import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, test } from 'vitest'

const ROOT = fileURLToPath(new URL('../../..', import.meta.url))

/** Files of the core with their text, tests left out. */
function* sources(folder: string): Generator<[path: string, text: string]> {
  for (const entry of readdirSync(join(ROOT, folder), { withFileTypes: true })) {
    const path = `${folder}/${entry.name}`
    if (entry.isDirectory() && entry.name !== 'test') yield* sources(path)
    else if (entry.name.endsWith('.ts')) yield [path, readFileSync(join(ROOT, path), 'utf8')]
  }
}

/** Keys of docs/sources.md, an entry naming several by commas. */
const keys = [...readFileSync(join(ROOT, 'docs/sources.md'), 'utf8').matchAll(/^- \*\*([^*]+)\*\*:/gm)]
  .map(([, key]) => key!)
  .flatMap((key) => (key.includes('RFC') ? key.split(', ') : [key]))

test('every source that the core names stands in docs/sources.md, or is own, or of the trade', () => {
  const known = new RegExp(
    `\\b(own|ours|trade|${keys.map((key) => key.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')).join('|')})`,
    'i',
  )
  const unknown = [...sources('core')].flatMap(([path, text]) =>
    [...text.matchAll(/@source\s+([\s\S]*?)(?=\*\/|@\w+|\n\s*(?:\/\/)?\s*(?:export|const|function|\w+:))/g)]
      .map(([, told]) =>
        told!
          .replace(/\n\s*\*/g, ' ')
          .replace(/\s+/g, ' ')
          .trim(),
      )
      .filter((told) => !known.test(told))
      .map((told) => `${path}: ${told}`),
  )
  expect(unknown).toEqual([])
})

test('no source is one that a reader of this repository cannot see', () => {
  const hidden = [...sources('core')].flatMap(([path, text]) =>
    /reference §|practice §|models\.md/i.test(text) ? [path] : [],
  )
  expect(hidden).toEqual([])
})
