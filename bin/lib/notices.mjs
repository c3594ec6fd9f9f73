// Writes THIRD_PARTY_NOTICES.md from the lock file: every package that ships, with its version and licence.
import { readFileSync, writeFileSync } from 'node:fs'

const { packages } = JSON.parse(readFileSync('package-lock.json', 'utf8'))
const rows = Object.entries(packages)
  .filter(([path, entry]) => path && !entry.dev && !entry.devOptional && !entry.link)
  .map(
    ([path, entry]) =>
      `| ${path.replace(/^.*node_modules\//, '')} | ${entry.version} | ${entry.license ?? 'see the package'} |`,
  )
const unique = [...new Set(rows)].sort((a, b) => a.localeCompare(b))
writeFileSync(
  'THIRD_PARTY_NOTICES.md',
  [
    '# Third-party notices',
    '',
    'Packages installed with Upper Sill, with the licence each one states. Their full texts come with them in `node_modules`.',
    'PDFs are set in Roboto, which comes with pdfmake (Apache 2.0, by its authors).',
    'Tests also read `weather.csv` of vega-datasets (BSD-3-Clause; observations by US NOAA, public domain).',
    '',
    '| package | version | licence |',
    '|---|---|---|',
    ...unique,
    '',
  ].join('\n'),
)
console.log(`• ${unique.length} packages written to THIRD_PARTY_NOTICES.md`)
