import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { build } from 'esbuild'
import { apiRoutes } from './bin/lib/apiRoutes'

const here = (folder: string) => fileURLToPath(new URL(folder, import.meta.url))

export default defineNuxtConfig({
  compatibilityDate: '2026-01-01',
  modules: ['@nuxt/ui', '@pinia/nuxt', 'nuxt-auth-utils', 'nuxt-security', '@vite-pwa/nuxt'],
  css: ['~/assets/css/main.css'],
  alias: {
    '#core': here('./core'), '#contract': here('./contract'), '#words': here('./words'),
    // By a name of its own, so that tests run the same code without Nitro's imports.
    '#session': here('./node_modules/nuxt-auth-utils/dist/runtime/server/utils/session'),
  },
  // Every page is behind the sign-in and lives by its arrows and drags: the server sends a shell and data, no drawn
  // pages.
  ssr: false,
  // A row of the list is no reason to fetch the whole of a lawn's page; a hand on it is.
  experimental: { defaults: { nuxtLink: { prefetchOn: { visibility: false, interaction: true } } } },
  devtools: { enabled: false },
  telemetry: false,
  components: [{ path: '~/components', pathPrefix: false }],
  imports: { dirs: ['stores'] },
  ui: { fonts: false, colorMode: false },
  icon: { provider: 'none', mode: 'svg', clientBundle: { scan: { globInclude: ['app/**/*.{vue,ts}'] } } },
  // The session is read on the server; pages ask /api/context for who is at work.
  auth: { loadStrategy: 'none' },
  runtimeConfig: {
    // NUXT_SESSION_PASSWORD seals the cookie; NUXT_SESSION_COOKIE_SECURE=false only on loopback without TLS.
    session: { name: 'upper-sill', maxAge: 30 * 24 * 3600, password: '', cookie: { sameSite: 'lax', httpOnly: true, secure: true } },
  },
  security: {
    // Headers only: limits and origins are judged by the server's own code, with its own words.
    rateLimiter: false, requestSizeLimiter: false, xssValidator: false, corsHandler: false, allowedMethodsRestricter: false,
    nonce: true, sri: false,
    headers: {
      contentSecurityPolicy: {
        'default-src': ["'none'"],
        'script-src': ["'nonce-{{nonce}}'", "'strict-dynamic'"],
        'script-src-attr': ["'none'"],
        // Places and widths on the ledge are style attributes; style cannot run.
        'style-src': ["'self'", "'unsafe-inline'"],
        'img-src': ["'self'", 'data:', 'blob:'],
        'font-src': ["'self'"],
        'connect-src': ["'self'"],
        'worker-src': ["'self'"],
        'manifest-src': ["'self'"],
        'object-src': ["'none'"],
        'base-uri': ["'none'"],
        'form-action': ["'self'"],
        'frame-ancestors': ["'none'"],
        // TLS is the proxy's; the demo on loopback has none.
        'upgrade-insecure-requests': false,
      },
      crossOriginEmbedderPolicy: 'require-corp',
      referrerPolicy: 'same-origin',
      xFrameOptions: 'DENY',
      // The place of a firm or a lawn may be asked of the device, by these pages alone.
      permissionsPolicy: { geolocation: ['self'] },
    },
  },
  hooks: {
    'nitro:config'(config) {
      Object.assign(config, {
        compressPublicAssets: { gzip: true, brotli: true },
        // What is under /api, so that an unknown path or method is told as such.
        virtual: { ...config.virtual, '#api-routes': () => `export const ROUTES = ${JSON.stringify(apiRoutes(here('./server/api')))}` },
        // Its own entry: requests that dawdle are cut.
        ...(process.env.NODE_ENV === 'development' ? {} : { entry: here('./server/entry.ts') }),
        // A worker is let start only where its script says the same of embedding as the page does.
        routeRules: { ...config.routeRules, '/_nuxt/**': { headers: { 'cross-origin-embedder-policy': 'require-corp' } } },
      })
      // Keys of sign-in providers that nobody uses here; they are read anew for every request.
      for (const unused of ['oauth', 'webauthn', 'atproto']) Reflect.deleteProperty(config.runtimeConfig ?? {}, unused)
    },
    'nitro:init'(nitro) {
      // Nitro bundles one entry; the threads that work seasons out and read what was sent are others, beside it.
      nitro.hooks.hook('compiled', async () => {
        for (const [entry, name] of [['./server/seasons/worker.ts', 'season-worker.mjs'], ['./server/compute/worker.ts', 'compute-worker.mjs']] as const) {
          await build({
            entryPoints: [here(entry)], outfile: join(nitro.options.output.serverDir, name), bundle: true, platform: 'node', format: 'esm', target: 'node20',
            alias: { '#core': here('./core'), '#contract': here('./contract'), '#words': here('./words') }, logLevel: 'error',
            // Packages of the older module form ask for Node's modules by a function that ES modules do not have.
            banner: { js: "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);" },
          })
        }
      })
    },
    'build:manifest'(manifest) {
      // Charts and other places load when they are opened, not ahead.
      for (const item of Object.values(manifest)) item.prefetch = false
    },
  },
  vite: {
    worker: { format: 'es' },
    $client: {
      build: {
        rollupOptions: {
          output: { chunkFileNames: ({ moduleIds }) => (moduleIds.some((id) => id.includes('/pdfmake/')) ? '_nuxt/pdf-[hash].js' : '_nuxt/[hash].js') },
        },
      },
    },
  },
  // Starts without a network. What is new waits until the last page of the old is closed, so that nothing typed is lost.
  pwa: {
    strategies: 'injectManifest', srcDir: 'service-worker', filename: 'sw.ts', registerType: 'prompt', injectRegister: false,
    injectManifest: {
      globPatterns: ['**/*.{js,css,woff2,svg}'],
      // The maker of PDFs and its font are two megabytes that few ask for: kept once they were used.
      globIgnores: ['_nuxt/pdf-*'],
      maximumFileSizeToCacheInBytes: 3_000_000,
    },
    manifest: {
      name: 'Upper Sill', short_name: 'Upper Sill', start_url: '/lawns', display: 'standalone',
      background_color: '#f3f3e8', theme_color: '#1f1a14',
      icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml' }],
    },
  },
  typescript: {
    strict: true,
    tsConfig: { compilerOptions: { noUncheckedIndexedAccess: true } },
  },
  app: {
    head: {
      title: 'Upper Sill',
      htmlAttrs: { lang: 'en' },
      meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/mark.svg' }, { rel: 'manifest', href: '/manifest.webmanifest' }],
    },
  },
})
