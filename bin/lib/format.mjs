// Formats every file of code, or with --check only looks.
import { execFileSync, spawnSync } from 'node:child_process'

const ROOMS = /^(server|contract|hostile|bin|bench|e2e|core|app|demo)\//
const files = execFileSync('git', ['ls-files', '-z', '--cached', '--others', '--exclude-standard'], {
  encoding: 'utf8',
})
  .split('\0')
  .filter((file) => /\.(ts|vue|mjs)$/.test(file) && ROOMS.test(file))
const how = process.argv.includes('--check') ? '--check' : '--write'
const { status } = spawnSync('npx', ['prettier', how, '--log-level', 'warn', ...files], { stdio: 'inherit' })
process.exit(status ?? 1)
