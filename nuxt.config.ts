import { fileURLToPath } from 'node:url'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))

/** Icons that Nuxt UI's own components show. */
const NUXT_UI_ICONS = [
  'arrow-left',
  'arrow-right',
  'check',
  'chevron-down',
  'chevron-left',
  'chevron-right',
  'chevron-up',
  'chevrons-left',
  'chevrons-right',
  'circle-alert',
  'circle-check',
  'circle-x',
  'ellipsis',
  'eye',
  'eye-off',
  'info',
  'loader-circle',
  'minus',
  'monitor',
  'moon',
  'plus',
  'search',
  'sun',
  'triangle-alert',
  'upload',
  'x',
].map((name) => `lucide:${name}`)

export default defineNuxtConfig({
  compatibilityDate: '2026-06-01',
  modules: ['@nuxt/ui', '@pinia/nuxt'],
  // rendering pages on the server costs many times a page's data; the app is rendered in the browser
  ssr: false,
  spaLoadingTemplate: 'loading.html',
  telemetry: false,
  devtools: { enabled: false },
  css: ['~/shared/theme/main.css'],
  alias: {
    '#core': here('./core'),
    '#ports': here('./ports'),
    '#standins': here('./standins'),
    '#db': here('./db'),
    '#usecases': here('./usecases'),
  },
  // every name is imported where it is used, so that nothing of the framework can slip into core, db or
  // usecases
  imports: { autoImport: false },
  components: { dirs: [] },
  ui: {
    fonts: false,
    theme: { colors: ['primary', 'secondary', 'success', 'info', 'warning', 'error', 'neutral'] },
  },
  icon: {
    provider: 'server',
    fallbackToApi: false,
    serverBundle: { collections: ['lucide'] },
    // every icon in use comes with the first page, so that none appears late or stays empty
    clientBundle: {
      scan: {
        globInclude: ['app/**/*.{vue,ts}'],
        globExclude: ['app/**/*.test.ts'],
      },
      icons: NUXT_UI_ICONS,
      sizeLimitKb: 128,
    },
  },
  colorMode: { preference: 'system', fallback: 'light' },
  app: {
    head: {
      htmlAttrs: { lang: 'en' },
      title: 'Step Cairn',
      meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/cairn.svg' }],
    },
  },
  experimental: { appManifest: false, defaults: { nuxtLink: { prefetch: false } } },
  hooks: {
    // a page asks for what it needs when it is opened; fetching the rest beforehand would double a learner's
    // first load
    'build:manifest': (manifest) => {
      for (const file of Object.values(manifest)) file.dynamicImports = []
    },
  },
  nitro: {
    compressPublicAssets: { gzip: true, brotli: true },
    imports: { autoImport: false },
    errorHandler: here('./server/http/onError.ts'),
  },
  vite: { build: { sourcemap: false } },
  typescript: {
    strict: true,
    tsConfig: {
      compilerOptions: { noUncheckedIndexedAccess: true },
      exclude: ['../tests', '../bench', '../demo', '../scripts', '../core/**/*.test.ts'],
    },
  },
})
