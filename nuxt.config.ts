import { fileURLToPath } from 'node:url'

const here = (folder: string) => fileURLToPath(new URL(folder, import.meta.url))

export default defineNuxtConfig({
  compatibilityDate: '2026-01-01',
  modules: ['@nuxt/ui', '@pinia/nuxt'],
  css: ['~/assets/css/main.css'],
  alias: { '#core': here('./core'), '#contract': here('./contract') },
  ssr: true,
  devtools: { enabled: false },
  telemetry: false,
  components: [{ path: '~/components', pathPrefix: false }],
  imports: { dirs: ['stores'] },
  ui: { fonts: false, colorMode: false },
  // As SVG: in CSS mode server and browser count component ids differently and labels lose their fields.
  icon: { provider: 'none', mode: 'svg', clientBundle: { scan: true } },
  typescript: {
    strict: true,
    tsConfig: { compilerOptions: { noUncheckedIndexedAccess: true } },
  },
  app: {
    head: {
      title: 'Upper Sill',
      htmlAttrs: { lang: 'en' },
      meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }],
    },
  },
})
