// Runs a TypeScript file of the project with its aliases: node bin/lib/run-ts.mjs FILE [ARG …]
import { fileURLToPath } from 'node:url'
import { createJiti } from 'jiti'

const here = (folder) => fileURLToPath(new URL(`../../${folder}`, import.meta.url))
const [file, ...args] = process.argv.slice(2)
process.argv = [process.argv[0], here(file), ...args]
const jiti = createJiti(import.meta.url, {
  alias: { '#core': here('core'), '#contract': here('contract'), '#server': here('server'), '#words': here('words') },
})
await jiti.import(here(file))
