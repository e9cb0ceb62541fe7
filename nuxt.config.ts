import { fileURLToPath } from 'node:url'
import { version } from './package.json'
import { iconsInUse } from './scripts/steps/iconsInUse.mjs'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))

/** Known to the server, which answers other addresses with 404. */
const pagePaths: string[] = []

const LEARNER_ICONS_IN = [
  'app/layouts/learner.vue',
  'app/places/learner/**/*.vue',
  'app/places/entry/**/*.vue',
  'app/shared/frame/PersonMenu.vue',
]

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
    // only colours in use: each one is spelt out in the theme of every component, and so in a learner's first page
    theme: { colors: ['primary', 'success', 'error', 'neutral'] },
    // and only the looks of components that stand somewhere
    experimental: { componentDetection: true },
  },
  icon: {
    provider: 'server',
    fallbackToApi: false,
    serverBundle: { collections: ['lucide'] },
    // a learner's icons come with the first page, all others with the frame of the teachers' pages (teacherIcons.ts)
    clientBundle: {
      scan: { globInclude: LEARNER_ICONS_IN, globExclude: ['**/*.test.ts'] },
      icons: ['lucide:check', 'lucide:x', 'lucide:loader-circle', 'lucide:circle-check', 'lucide:circle-x'],
      sizeLimitKb: 128,
    },
  },
  colorMode: { preference: 'system', fallback: 'light' },
  app: {
    head: {
      htmlAttrs: { lang: 'en' },
      title: 'Step Cairn',
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1' },
        { name: 'theme-color', content: '#0f4f59' },
      ],
      link: [
        { rel: 'icon', type: 'image/svg+xml', href: '/cairn.svg' },
        { rel: 'manifest', href: '/manifest.webmanifest' },
        { rel: 'apple-touch-icon', href: '/cairn-192.png' },
      ],
    },
  },
  // pages rendered in the browser bring no payload, so nothing that revives one is sent either
  experimental: {
    appManifest: false,
    renderJsonPayloads: false,
    defaults: { nuxtLink: { prefetch: false } },
  },
  hooks: {
    'pages:resolved': (pages) => {
      pagePaths.push(...pages.map((page) => page.path))
    },
    // while developing, the builder looks among a browser's entries for that of the server, which it then never runs
    'vite:extendConfig': (config, { isClient }) => {
      const input = config.build?.rollupOptions?.input
      if (process.env.NODE_ENV !== 'development' || !isClient || typeof input !== 'object') return
      if (!Array.isArray(input) && input.entry) input.server ??= input.entry
    },
    // a page asks for what it needs when it is opened; fetching the rest beforehand would double a learner's
    // first load
    'build:manifest': (manifest) => {
      for (const file of Object.values(manifest)) file.dynamicImports = []
    },
  },
  nitro: {
    // addresses stand in contracts, and what answers them in the tables of server/routes; no folder is searched
    apiDir: 'no-folder',
    routesDir: 'no-folder',
    compressPublicAssets: { gzip: true, brotli: true },
    imports: { autoImport: false },
    errorHandler: here('./server/http/onError.ts'),
    replace: { __STEP_CAIRN_VERSION__: JSON.stringify(version) },
    virtual: { 'virtual:page-paths': () => `export const PAGES = ${JSON.stringify(pagePaths)}` },
  },
  vite: {
    // nothing here or in the packages in use is written with the options API
    define: { __VUE_OPTIONS_API__: 'false' },
    build: {
      sourcemap: false,
      // core does nothing by being loaded: what a page does not call of it is not sent with it
      rollupOptions: {
        // every name of a file is sent with a learner's first page: they are short
        output: { assetFileNames: '_nuxt/[hash].[ext]' },
        treeshake: { moduleSideEffects: (id) => !id.startsWith(here('./core')) },
      },
    },
    plugins: [iconsInUse(here('./app'))],
  },
  typescript: {
    strict: true,
    tsConfig: {
      compilerOptions: { noUncheckedIndexedAccess: true },
      exclude: ['../tests', '../bench', '../demo', '../scripts', '../core/**/*.test.ts'],
    },
  },
})
