// Formats, or with --check only looks, what is kept formatted: whole rooms, and single files of rooms still to be rebuilt.
import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'

const ROOMS = /^(server|contract|hostile|bin|bench|e2e|core)\//
// Tables that are about to become definitions of operations.
const LATER = /^core\/job\/operations\/(briefs|catalogue|weatherGates)\.ts$/
const singles = new Set(
  readFileSync(new URL('formatted.txt', import.meta.url), 'utf8')
    .split('\n')
    .filter((line) => line && !line.startsWith('#')),
)
const files = execFileSync('git', ['ls-files', '-z', '--cached', '--others', '--exclude-standard'], {
  encoding: 'utf8',
})
  .split('\0')
  .filter((file) => /\.(ts|vue|mjs)$/.test(file) && ((ROOMS.test(file) && !LATER.test(file)) || singles.has(file)))
const how = process.argv.includes('--check') ? '--check' : '--write'
execFileSync('npx', ['prettier', how, '--log-level', 'warn', ...files], { stdio: 'inherit' })
