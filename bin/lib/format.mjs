// Formats, or with --check only looks, what is kept formatted: all but components that have to be taken apart first.
import { execFileSync, spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'

const ROOMS = /^(server|contract|hostile|bin|bench|e2e|core|app|demo)\//
const later = new Set(
  readFileSync(new URL('unformatted.txt', import.meta.url), 'utf8')
    .split('\n')
    .filter((line) => line && !line.startsWith('#')),
)
const files = execFileSync('git', ['ls-files', '-z', '--cached', '--others', '--exclude-standard'], {
  encoding: 'utf8',
})
  .split('\0')
  .filter((file) => /\.(ts|vue|mjs)$/.test(file) && ROOMS.test(file) && !later.has(file))
const how = process.argv.includes('--check') ? '--check' : '--write'
const { status } = spawnSync('npx', ['prettier', how, '--log-level', 'warn', ...files], { stdio: 'inherit' })
process.exit(status ?? 1)
