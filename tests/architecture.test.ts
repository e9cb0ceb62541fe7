import { readFileSync, readdirSync } from 'node:fs'
import { dirname, join, relative, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'

const ROOT = fileURLToPath(new URL('..', import.meta.url))
const FOLDERS = ['core', 'ports', 'shared', 'db', 'usecases', 'standins', 'server', 'app'] as const
type Folder = (typeof FOLDERS)[number]

/** Who may import whom; a package only where it is named. */
const MAY: Record<Folder, { readonly folders: readonly Folder[]; readonly packages: readonly RegExp[] }> = {
  core: { folders: ['core'], packages: [] },
  ports: { folders: ['core'], packages: [] },
  shared: { folders: ['core', 'shared'], packages: [/^zod$/] },
  db: { folders: ['core', 'db'], packages: [/^drizzle-orm/, /^@libsql\/client$/, /^zod$/, /^node:/] },
  usecases: { folders: ['core', 'ports', 'usecases', 'db'], packages: [] },
  standins: { folders: ['core', 'ports', 'standins'], packages: [/^node:crypto$/] },
  server: {
    folders: ['core', 'shared', 'usecases', 'ports', 'server'],
    packages: [/^h3$/, /^nitropack\/runtime$/, /^zod$/, /^node:crypto$/],
  },
  app: {
    folders: ['core', 'shared', 'app'],
    packages: [
      /^vue$/,
      /^pinia$/,
      /^#imports$/,
      /^@vueuse\/core$/,
      /^markdown-it$/,
      /^echarts/,
      /^@atlaskit\/pragmatic-drag-and-drop\//,
    ],
  },
}
/** Core topics and what each may use besides itself. */
const TOPICS: Record<string, readonly string[]> = {
  base: [],
  access: ['base'],
  calendar: ['base'],
  library: ['base'],
  audience: ['base'],
  pacing: ['base', 'calendar'],
  availability: ['base', 'calendar', 'audience', 'pacing'],
  attempts: ['base', 'library'],
  evidence: ['base', 'library', 'attempts'],
  formats: ['base', 'calendar', 'pacing', 'library'],
}
const EXTRA: readonly { readonly file: RegExp; readonly packages: RegExp }[] = [
  { file: /^core\/formats\//, packages: /^(papaparse|ical\.js)$/ },
  { file: /^server\/plugins\//, packages: /^#(db|standins)\// },
]
const SIZES: readonly { readonly of: RegExp; readonly lines: number }[] = [
  { of: /^core\/.*\.ts$/, lines: 250 },
  { of: /^app\/.*\.vue$/, lines: 260 },
  { of: /^app\/composables\/.*\.ts$/, lines: 120 },
  { of: /^app\/stores\/.*\.ts$/, lines: 160 },
  { of: /^server\/api\/.*\.ts$/, lines: 20 },
]

/** Files that are still to be divided by meaning; the list only gets shorter. */
const STILL_LONG: ReadonlySet<string> = new Set([
  'app/composables/planDraft.ts',
  'core/pacing/types.ts',
  'core/pacing/act.ts',
  'app/components/work/WorkComposer.vue',
  'app/components/desk/RipplePanel.vue',
  'app/components/desk/DeskGrid.vue',
  'app/components/desk/DeskStretch.vue',
  'app/pages/pace/fit.vue',
  'app/pages/pace/charts.vue',
  'app/pages/pace/index.vue',
  'app/pages/classes/year.vue',
])

interface Source {
  readonly path: string
  readonly text: string
}
const sources: Source[] = FOLDERS.flatMap((f) =>
  readdirSync(ROOT + f, { recursive: true, withFileTypes: true })
    .filter((e) => e.isFile() && /\.(ts|vue)$/.test(e.name) && !e.name.endsWith('.test.ts'))
    .map((e) => relative(ROOT, join(e.parentPath, e.name))),
)
  .filter((p) => !p.startsWith('db/migrations'))
  .map((path) => ({ path, text: readFileSync(ROOT + path, 'utf8') }))

const importsOf = (text: string) =>
  [
    ...text.matchAll(
      /^\s*(?:import|export)\s[^'"]*?from\s+['"]([^'"]+)['"]|^\s*import\s+['"]([^'"]+)['"]|import\(\s*['"]([^'"]+)['"]\s*\)/gm,
    ),
  ].map((m) => m[1] ?? m[2] ?? m[3] ?? '')

/** Every way in which one source breaks the rules. */
function breaches({ path, text }: Source): string[] {
  const folder = path.split('/')[0] as Folder
  const found: string[] = []
  for (const target of importsOf(text)) {
    const fail = (why: string) => found.push(`${path} imports ${target}: ${why}`)
    const to = target.startsWith('.')
      ? relative(ROOT, resolve(ROOT, dirname(path), target))
      : target.startsWith('#') && target !== '#imports'
        ? target.slice(1)
        : null
    if (to === null) {
      if (
        ![...MAY[folder].packages, ...EXTRA.filter((e) => e.file.test(path)).map((e) => e.packages)].some(
          (p) => p.test(target),
        )
      )
        fail('this package is not for this folder')
      continue
    }
    const other = to.split('/')[0] as Folder
    if (EXTRA.some((e) => e.file.test(path) && e.packages.test(target))) continue
    if (!MAY[folder].folders.includes(other)) fail(`${folder} may not use ${other}`)
    if (folder === 'usecases' && other === 'db' && target !== '#db/repositories')
      fail('use-cases know the repositories only')
    if (other === 'core' && folder === 'core') {
      const [, from = ''] = path.split('/')
      const [, topic = '', ...inside] = to.split('/')
      if (from !== topic && inside.length > 0) fail('another topic is entered through its index only')
      if (from !== topic && !TOPICS[from]?.includes(topic)) fail(`${from} may not use ${topic}`)
    }
  }
  if (
    folder === 'core' &&
    path !== 'core/base/isoDay.ts' &&
    /\bnew Date\(|\bDate\.now\b|\bMath\.random\b|\bprocess\.|\bsetTimeout\b/.test(text)
  )
    found.push(`${path} reads clock, chance or environment`)
  if (/\bexport \* /.test(text)) found.push(`${path} exports everything`)
  if (folder !== 'app' && folder !== 'server' && /^export default/m.test(text))
    found.push(`${path} has a default export`)
  for (const { of, lines } of SIZES)
    if (of.test(path) && !STILL_LONG.has(path) && text.trimEnd().split('\n').length > lines)
      found.push(`${path} is longer than ${lines} lines`)
  return found
}

describe('the house', () => {
  it('keeps its arrows and sizes', () => {
    expect(sources.length).toBeGreaterThan(150)
    expect(sources.flatMap(breaches)).toEqual([])
  })

  it('lists every core topic', () => {
    expect(
      readdirSync(`${ROOT}core`, { withFileTypes: true })
        .filter((e) => e.isDirectory())
        .map((e) => e.name)
        .sort(),
    ).toEqual(Object.keys(TOPICS).sort())
  })

  it('gives every topic one door with a caption and named exports', () => {
    for (const topic of Object.keys(TOPICS))
      expect(readFileSync(`${ROOT}core/${topic}/index.ts`, 'utf8')).toMatch(/^\/\*\* /)
  })

  it.each<[string, Source]>([
    [
      'a page that ships the database',
      { path: 'app/pages/x.vue', text: "import { openStore } from '#db/client'" },
    ],
    ['core that knows the framework', { path: 'core/pacing/x.ts', text: "import { ref } from 'vue'" }],
    ['core that reads the clock', { path: 'core/pacing/x.ts', text: 'export const now = () => Date.now()' }],
    [
      'a topic entered past its door',
      { path: 'core/pacing/x.ts', text: "import { zoneOf } from '../calendar/zone'" },
    ],
    [
      'an arrow against the stream',
      { path: 'core/calendar/x.ts', text: "import { layOut } from '../pacing'" },
    ],
    ['a use-case that knows SQL', { path: 'usecases/work/x.ts', text: "import { eq } from 'drizzle-orm'" }],
    [
      'a use-case that opens the database itself',
      { path: 'usecases/work/x.ts', text: "import { openStore } from '#db/client'" },
    ],
    [
      'a route that goes past the use-cases',
      { path: 'server/api/x.get.ts', text: "import { schoolName } from '#db/repositories'" },
    ],
    [
      'a contract that knows the server',
      { path: 'shared/contracts/x.ts', text: "import { defineEventHandler } from 'h3'" },
    ],
    [
      'a lazy import of what is forbidden',
      { path: 'app/stores/x.ts', text: "const db = await import('#db/repositories')" },
    ],
    ['a route with work in it', { path: 'server/api/x.get.ts', text: 'x\n'.repeat(21) }],
  ])('notices %s', (_, planted) => {
    expect(breaches(planted)).not.toEqual([])
  })
})
