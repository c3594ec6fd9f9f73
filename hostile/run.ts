import { readFileSync, writeFileSync } from 'node:fs'
import pg from 'pg'
import { serverAddress } from '#server/records/serverRole'
import { closeDatabase } from '#server/records/db'
import { migrate } from '#server/records/migrate'
import { startServer, type Running } from '#server/test/running/process'
import { machine } from '../bench/figures'
import { access } from './access'
import { bodies } from './bodies'
import { clock } from './clock'
import { crowds } from './crowds'
import { dawdle } from './dawdle'
import { files } from './files'
import { heaps } from './heaps'
import { kills, type Cluster } from './kills'
import { races } from './races'
import { Report } from './report'
import { scripts } from './scripts'

/**
 * Attacks a server of its own on a database of its own: bin/hostile starts both. `--short` is what bin/test runs,
 * `--keep` puts the figures into docs/bench.md.
 */
const short = process.argv.includes('--short')
const only = process.argv
  .find((arg) => arg.startsWith('--only='))
  ?.slice(7)
  .split(',')
const admin = process.env.DATABASE_URL
if (!admin) throw new Error('DATABASE_URL is not set. Run npm run hostile.')
const cluster: Cluster | undefined = process.env.HOSTILE_CLUSTER
  ? { folder: process.env.HOSTILE_CLUSTER, bin: process.env.HOSTILE_BIN!, port: new URL(admin).port }
  : undefined

async function freshDatabase(): Promise<void> {
  const client = new pg.Client({ connectionString: admin })
  await client.connect()
  await client.query('drop database if exists sill_hostile with (force)')
  await client.query('create database sill_hostile')
  await client.end()
  const url = new URL(admin!)
  url.pathname = '/sill_hostile'
  process.env.DATABASE_URL = url.href
  await migrate()
}

/** Most memory a process ever had, MB. */
const memoryMb = ({ pid }: Running): number =>
  Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024

await freshDatabase()
const address = await serverAddress()
const report = new Report()
const env = { UPPER_SILL_WATCH: '1', UPPER_SILL_BEHIND_PROXY: '1', UPPER_SILL_LOG: 'error' }
const start = () => startServer(address, env)
const wanted = (name: string) => !only || only.includes(name)
console.log(`• Attacking a server of our own${short ? ', the short form' : ''}…`)

let server = await start()
const watched = async (name: string, work: () => Promise<string>) => {
  if (!wanted(name)) return
  await report.section(name, work)
  const memory = memoryMb(server)
  if (memory > report.mostMemoryMb) console.log(`    most memory so far ${Math.round(memory)} MB`)
  report.mostMemoryMb = Math.max(report.mostMemoryMb, memory)
}
await watched('access', () => access(server, report))
await watched('bodies', () => bodies(server, report, short ? 10 : 900))
await watched('clock', () => clock(server, report))
await watched('files', () => files(server, report, short))
await watched('heaps', () => heaps(server, report, short))
await watched('crowds', () => crowds(server, report))
const second = await start()
await watched('races', () => races([server, second], report, short ? 6 : 24))
await second.stop()
await watched('scripts', () => scripts(server, report, short))
if (!short) await watched('dawdle', () => dawdle(server, report))
const unhandled = server.log.filter((line) => /uncaughtException|unhandledRejection/.test(line))
for (const line of unhandled) report.wrong.push(`nothing caught: ${line.slice(0, 400)}`)
await server.stop()
if (wanted('kills')) await report.section('kills', () => kills(address, cluster, report, short ? 2 : 25))
await closeDatabase()
server = undefined as never

console.log(`\n${report.summary}`)
const failures = report.failures(!short)
for (const failure of failures.slice(0, 60)) console.log(`✗ ${failure}`)
writeFileSync(
  'test-results/hostile.json',
  JSON.stringify({ sections: report.sections, summary: report.summary, failures }, null, 1),
)
if (process.argv.includes('--keep')) keep()
process.exit(failures.length ? 1 : 0)

/** Puts the figures of the long form into the bench's report. */
function keep(): void {
  const { probes, serverErrors, lost, leaked, wrong, mostMemoryMb, longestStallMs } = report
  const rows = [
    ['probes', String(probes), ''],
    ['answers of kind 500', String(serverErrors.length), '0'],
    ['acknowledged writes lost', String(lost.length), '0'],
    ['seen by who may not', String(leaked.length), '0'],
    ['otherwise wrong', String(wrong.length), '0'],
    ['most memory of the server and its threads', `${Math.round(mostMemoryMb)} MB`, 'under 400 MB'],
    ['longest stall of the server’s thread in the storm', `${Math.round(longestStallMs.storm)} ms`, 'under 200 ms'],
    ['the same by any one request', `${Math.round(longestStallMs.one)} ms (${longestStallMs.oneBy})`, 'under 100 ms'],
    ['the longest with waits for a processor that the attacker had', `${Math.round(report.longestWithWaitMs)} ms`, ''],
    ...report.sections.map(({ name, probes: of, seconds, says }) => [
      name,
      `${of} probes in ${seconds.toFixed(0)} s`,
      says,
    ]),
  ]
  const text = [
    `On ${new Date().toISOString().slice(0, 10)}, ${machine()}.`,
    '',
    '| under attack | figure | wanted, or what was done |',
    '|---|---|---|',
    ...rows.map((row) => `| ${row.join(' | ')} |`),
    '',
  ].join('\n')
  const file = 'docs/bench.md'
  const [before, , after] = readFileSync(file, 'utf8').split(/(?<=<!-- attacked -->\n)|(?=<!-- end of attacked -->)/)
  writeFileSync(file, `${before}${text}${after}`)
}
