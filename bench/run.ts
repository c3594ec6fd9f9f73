import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { closeDatabase, databaseUrl } from '#server/records/db'
import { benchBook } from './book'
import { machine, table } from './figures'
import { benchServer } from './server'
import { build } from 'esbuild'

/** The core as it ships: bundled, so that a call costs what it costs in the worker. */
async function shippedCore(): Promise<typeof import('./core')> {
  const folder = mkdtempSync(fileURLToPath(new URL('../node_modules/.bench-', import.meta.url)))
  const outfile = join(folder, 'core.mjs')
  await build({
    entryPoints: [fileURLToPath(new URL('core.ts', import.meta.url))],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    packages: 'external',
    alias: { '#core': fileURLToPath(new URL('../core', import.meta.url)) },
    logLevel: 'error',
  })
  const shipped = (await import(outfile)) as typeof import('./core')
  rmSync(folder, { recursive: true })
  return shipped
}

/** Prints the figures; with --keep puts them into docs/bench.md, with machine and day. */
const rows = [
  ...(await shippedCore()).benchCore(),
  ...(await benchBook(databaseUrl())),
  ...(await benchServer(databaseUrl())),
]
const figures = `On ${new Date().toISOString().slice(0, 10)}, ${machine()}.\n\n${table(rows)}`
console.log(figures)
await closeDatabase()
if (process.argv.includes('--keep')) {
  const file = fileURLToPath(new URL('../docs/bench.md', import.meta.url))
  const [before, , after] = readFileSync(file, 'utf8').split(/(?<=<!-- figures -->\n)|(?=<!-- end of figures -->)/)
  writeFileSync(file, `${before}${figures}\n${after}`)
}
