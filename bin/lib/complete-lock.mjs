// A registry that serves one platform only makes npm leave the others' optional binaries out of package-lock.json, and
// `npm ci` then refuses it everywhere. Run after each change of dependencies: node bin/lib/complete-lock.mjs
import { readFileSync, writeFileSync } from 'node:fs'

const OS = ['android', 'darwin', 'freebsd', 'win32', 'linux', 'openharmony', 'openbsd', 'netbsd', 'sunos', 'aix']
const CPU = ['arm64', 'x64', 'ia32', 'ppc64', 'riscv64', 's390x', 'loong64', 'mips64el', 'arm', 'wasm32']

const lock = JSON.parse(readFileSync('package-lock.json', 'utf8'))
const packages = Object.fromEntries(Object.entries(lock.packages).filter(([, entry]) => !entry.extraneous))

/** Where Node would find a package from the folder of another, nearest first. */
function* placesFrom(path, name) {
  for (let at = path; at; at = at.includes('/node_modules/') ? at.slice(0, at.lastIndexOf('/node_modules/')) : '')
    yield `${at}/node_modules/${name}`
  yield `node_modules/${name}`
}

let added = 0
for (const [path, entry] of Object.entries({ ...packages })) {
  for (const [name, spec] of Object.entries(entry.optionalDependencies ?? {})) {
    const found = [...placesFrom(path, name)].find((place) => packages[place])
    const version = spec.replace(/^[~^]/, '')
    if (found && (packages[found].version === version || spec !== version)) continue
    const words = name
      .toLowerCase()
      .replace('win32', ' win32 ')
      .split(/[^a-z0-9]+/)
    const os = OS.filter((each) => words.includes(each))
    const cpu = CPU.filter((each) =>
      words.some((word) => word === each || (each === 'arm' && /^arm(v7|eabi)?$/.test(word))),
    )
    if (name === 'fsevents') os.push('darwin')
    if (!os.length && !cpu.length) continue
    const place = found ? `${path}/node_modules/${name}` : `node_modules/${name}`
    packages[place] = {
      version,
      ...(cpu.length ? { cpu } : {}),
      optional: true,
      ...(os.length ? { os } : {}),
      ...(entry.dev ? { dev: true } : {}),
    }
    added++
  }
}
lock.packages = Object.fromEntries(Object.entries(packages).sort(([a], [b]) => (a < b ? -1 : 1)))
writeFileSync('package-lock.json', `${JSON.stringify(lock, null, 2)}\n`)
console.log(`• ${added} packages of other platforms noted in package-lock.json`)
