// Adds up what the runners reported and closes with the one line that counts.
import { existsSync, readFileSync } from 'node:fs'

const read = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined)
const unit = read('test-results/unit.json')
const browser = read('test-results/e2e.json')
const hostile = read('test-results/hostile.json')
let passed = 0
let failed = Number(process.argv[2] ?? 0)

if (unit) {
  passed += unit.numPassedTests
  failed += unit.numFailedTests + (unit.numFailedTestSuites && !unit.numFailedTests ? unit.numFailedTestSuites : 0)
} else failed += 1
if (browser) {
  passed += browser.stats.expected
  failed +=
    browser.stats.unexpected + browser.stats.flaky + (browser.stats.expected + browser.stats.unexpected === 0 ? 1 : 0)
} else failed += 1

// Each section of attacks that found nothing is one test that passed.
if (hostile) {
  passed += hostile.failures.length ? 0 : hostile.sections.length
  failed += hostile.failures.length
} else failed += 1

// The end of a long run is what is read of it: what failed is named there.
const named = [
  ...(unit?.testResults ?? []).flatMap(({ name, assertionResults, message }) => {
    const red = assertionResults.filter(({ status }) => status === 'failed')
    const why = ({ fullName, failureMessages }) => `${fullName}\n${(failureMessages[0] ?? '').slice(0, 1500)}`
    return red.length ? red.map((one) => `${name}: ${why(one)}`) : message ? [`${name}: ${message.slice(0, 1500)}`] : []
  }),
  ...(hostile?.failures ?? []).map((failure) => `under attack: ${JSON.stringify(failure).slice(0, 600)}`),
]
/** What stood on the page where a browser test gave up. */
const pageSeen = ({ attachments }) => {
  const path = attachments.find(({ name }) => name === 'error-context')?.path
  const [, seen] = (path && existsSync(path) && /```yaml\n([^]*?)```/.exec(readFileSync(path, 'utf8'))) || []
  return seen ? `on the page then:\n${seen.slice(0, 4000)}` : 'nothing is kept of its page'
}
const specsOf = ({ specs = [], suites = [] }) => [...specs, ...suites.flatMap(specsOf)]
for (const { title, tests } of specsOf({ suites: browser?.suites }))
  for (const { results } of tests)
    for (const result of results) if (result.error) named.push(`${title}, ${pageSeen(result)}`)

const steps = 'test-results/failed-steps.log'
if (existsSync(steps)) console.log(readFileSync(steps, 'utf8').slice(-6000))
for (const failure of named) console.log(`✗ ${failure}`)

console.log(`tests: ${passed} passed, ${failed} failed`)
process.exitCode = failed > 0 || passed === 0 ? 1 : 0
