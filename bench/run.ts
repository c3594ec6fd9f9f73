import { readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { closeDatabase, databaseUrl } from '#server/records/db'
import { benchBook } from './book'
import { benchCore } from './core'
import { machine, table } from './figures'
import { benchServer } from './server'

/** Prints the figures; with --keep puts them into docs/bench.md, with machine and day. */
const rows = [...benchCore(), ...(await benchBook(databaseUrl())), ...(await benchServer(databaseUrl()))]
const figures = `On ${new Date().toISOString().slice(0, 10)}, ${machine()}.\n\n${table(rows)}`
console.log(figures)
await closeDatabase()
if (process.argv.includes('--keep')) {
  const file = fileURLToPath(new URL('../docs/bench.md', import.meta.url))
  const [before, , after] = readFileSync(file, 'utf8').split(/(?<=<!-- figures -->\n)|(?=<!-- end of figures -->)/)
  writeFileSync(file, `${before}${figures}\n${after}`)
}
