import { readFileSync, readdirSync } from 'node:fs'
import { dirname, join, relative, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'
import { cyclesIn } from './support/cycles'
import {
  APP_FILES,
  COLUMNS,
  EXTRA,
  FLOORS,
  FOLDERS,
  MAY,
  PACING,
  PLACES,
  SIZES,
  TOPICS,
} from './support/house'
import type { Folder } from './support/house'

const ROOT = fileURLToPath(new URL('..', import.meta.url))
interface Source {
  readonly path: string
  readonly text: string
}

const filesOf = (folder: string) =>
  readdirSync(ROOT + folder, { recursive: true, withFileTypes: true })
    .filter((e) => e.isFile() && /\.(ts|vue|mjs|mts)$/.test(e.name))
    .map((e) => relative(ROOT, join(e.parentPath, e.name)))
const everything: Source[] = [...FOLDERS, 'tests', 'demo', 'bench', 'scripts']
  .flatMap(filesOf)
  .filter((p) => !p.startsWith('db/migrations'))
  .map((path) => ({ path, text: readFileSync(ROOT + path, 'utf8') }))
const isHouse = ({ path }: Source) =>
  FOLDERS.includes(path.split('/')[0] as Folder) && !path.endsWith('.test.ts')
const sources = everything.filter(isHouse)
const known = new Set(everything.map((s) => s.path))

const IMPORTS = [
  /^\s*(?:import|export)\s[^'"]*?from\s+['"]([^'"]+)['"]/gm,
  /^\s*import\s+['"]([^'"]+)['"]/gm,
  /import\(\s*['"]([^'"]+)['"]\s*\)/g,
]
const importsOf = (text: string) =>
  IMPORTS.flatMap((pattern) => [...text.matchAll(pattern)].map((m) => m[1] ?? ''))

/** The path an import means, without its ending; null for a package. */
function pathOf(target: string, from: string): string | null {
  if (target.startsWith('.')) return relative(ROOT, resolve(ROOT, dirname(from), target))
  if (target.startsWith('~/')) return `app/${target.slice(2)}`
  return target.startsWith('#') && target !== '#imports' ? target.slice(1) : null
}

function fileOf(path: string): string | undefined {
  return [path, `${path}.ts`, `${path}/index.ts`].find((p) => known.has(p))
}

/** Why a core file may not import a path; null where it may. */
function breachInCore(path: string, to: string): string | null {
  const [, from = '', ...at] = path.split('/')
  const [, topic = '', ...inside] = to.split('/')
  if (from !== topic) {
    if (inside.length > 0) return 'another topic is entered through its index only'
    return TOPICS[from]?.includes(topic) ? null : `${from} may not use ${topic}`
  }
  if (from !== 'pacing' || at.length < 2) return null
  const [here = ''] = at
  const [there = '', ...deeper] = inside
  if (here === there || there === 'refusals') return null
  if (deeper.length > 0) return 'another part of pacing is entered through its index only'
  return PACING[here]?.includes(there) ? null : `pacing/${here} may not use pacing/${there}`
}

/** Why a use-case may not import a path; null where it may. */
function breachInUsecases(path: string, to: string): string | null {
  const [, from = ''] = path.split('/')
  const [, other = ''] = to.split('/')
  const floorOf = (folder: string) => FLOORS.findIndex((floor) => floor.includes(folder))
  if (from === other || floorOf(other) < floorOf(from)) return null
  return `${from} may not use ${other}, which is no floor below it`
}

/** Why a file of the app may not import a path; null where it may. */
function breachInApp(path: string, to: string): string | null {
  const [, room = '', place = ''] = path.split('/')
  const [, otherRoom = '', other = '', ...inside] = to.split('/')
  if (otherRoom === 'shared') return null
  if (room === 'shared') return 'what is shared knows no place'
  if (otherRoom !== 'places') return APP_FILES.test(to) ? null : `${room} may not use ${otherRoom}`
  if (room !== 'places')
    return inside.length === 0 || /View\.vue$/.test(to) ? null : 'a place is entered by its door or a view'
  if (place === other) return null
  if (inside.length > 0) return 'another place is entered through its index only'
  return PLACES[place]?.includes(other) ? null : `${place} may not use ${other}`
}

/** Why a file may not import what it imports; null where it may. */
function breachOf(path: string, target: string): string | null {
  const folder = path.split('/')[0] as Folder
  const to = pathOf(target, path)
  const extra = EXTRA.filter((e) => e.file.test(path)).map((e) => e.packages)
  if (to === null) {
    const allowed = [...MAY[folder].packages, ...extra].some((p) => p.test(target))
    return allowed ? null : 'this package is not for this folder'
  }
  if (extra.some((p) => p.test(target))) return null
  const other = to.split('/')[0] as Folder
  if (!MAY[folder].folders.includes(other)) return `${folder} may not use ${other}`
  if (folder === 'usecases' && other === 'db' && target !== '#db/repositories')
    return 'use-cases know the repositories only'
  if (folder === 'core') return breachInCore(path, to)
  if (folder === 'usecases' && other === 'usecases') return breachInUsecases(path, to)
  return folder === 'app' && other === 'app' ? breachInApp(path, to) : null
}

/** Every way in which one source breaks the rules. */
function breaches({ path, text }: Source): string[] {
  const folder = path.split('/')[0] as Folder
  const found = importsOf(text).flatMap((target) => {
    const why = breachOf(path, target)
    return why === null ? [] : [`${path} imports ${target}: ${why}`]
  })
  const impure = /\bnew Date\(|\bDate\.now\b|\bMath\.random\b|\bprocess\.|\bsetTimeout\b/
  if (folder === 'core' && path !== 'core/base/isoDay.ts' && impure.test(text))
    found.push(`${path} reads clock, chance or environment`)
  if (/\bexport \* /.test(text)) found.push(`${path} exports everything`)
  if (folder !== 'app' && folder !== 'server' && /^export default/m.test(text))
    found.push(`${path} has a default export`)
  const lines = text.trimEnd().split('\n').length
  for (const size of SIZES)
    if (size.of.test(path) && lines > size.lines) found.push(`${path} is longer than ${size.lines} lines`)
  return [...found, ...tooWide({ path, text })]
}

function tooWide({ path, text }: Source): string[] {
  return text
    .split('\n')
    .flatMap((line, i) =>
      line.length > COLUMNS ? [`${path}:${i + 1} is wider than ${COLUMNS} columns`] : [],
    )
}

describe('the house', () => {
  it('keeps its arrows and sizes', () => {
    expect(sources.length).toBeGreaterThan(150)
    expect(sources.flatMap(breaches)).toEqual([])
  })

  it('keeps its lines short, in tests and demo too', () => {
    expect(everything.flatMap(tooWide)).toEqual([])
  })

  it('has no circles, in tests and demo neither', () => {
    const graph = new Map(
      everything.map(({ path, text }) => [
        path,
        importsOf(text).flatMap((target) => fileOf(pathOf(target, path) ?? '') ?? []),
      ]),
    )
    expect(cyclesIn(graph)).toEqual([])
  })

  it('lists every core topic, every floor of the use-cases and every place', () => {
    const foldersIn = (path: string) =>
      readdirSync(ROOT + path, { withFileTypes: true })
        .filter((e) => e.isDirectory())
        .map((e) => e.name)
        .sort()
    expect(foldersIn('core')).toEqual(Object.keys(TOPICS).sort())
    expect(foldersIn('core/pacing')).toEqual(Object.keys(PACING).sort())
    expect(foldersIn('usecases')).toEqual(FLOORS.flat().sort())
    expect(foldersIn('app/places')).toEqual(Object.keys(PLACES).sort())
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
      'a topic past its door',
      { path: 'core/pacing/x.ts', text: "import { zoneOf } from '../calendar/zone'" },
    ],
    [
      'an arrow against the stream',
      { path: 'core/calendar/x.ts', text: "import { layOut } from '../pacing'" },
    ],
    ['pacing against itself', { path: 'core/pacing/plan/x.ts', text: "import { layOut } from '../layout'" }],
    ['a part past its door', { path: 'core/pacing/fit/x.ts', text: "import { a } from '../layout/layOut'" }],
    [
      'a use-case against the stream',
      { path: 'usecases/settling/x.ts', text: "import { a } from '../work/workFor'" },
    ],
    [
      'a use-case of a neighbour',
      { path: 'usecases/series/x.ts', text: "import { a } from '../standing/offers'" },
    ],
    ['a use-case that knows SQL', { path: 'usecases/work/x.ts', text: "import { eq } from 'drizzle-orm'" }],
    ['a use-case with the database', { path: 'usecases/work/x.ts', text: "import { a } from '#db/client'" }],
    [
      'a route past the use-cases',
      { path: 'server/routes/x.ts', text: "import { a } from '#db/repositories'" },
    ],
    ['a contract with the server', { path: 'shared/contracts/x.ts', text: "import { a } from 'h3'" }],
    ['a lazy import', { path: 'app/shared/x.ts', text: "const db = await import('#db/repositories')" }],
    [
      'a place against the stream',
      { path: 'app/places/shelf/x.ts', text: "import { a } from '~/places/pace'" },
    ],
    [
      'a place past its door',
      { path: 'app/places/work/x.ts', text: "import a from '~/places/pace/stores/desk'" },
    ],
    ['a shared file with a place', { path: 'app/shared/x.ts', text: "import { a } from '~/places/pace'" }],
    ['a table of routes with work in it', { path: 'server/routes/x.ts', text: 'x\n'.repeat(91) }],
  ])('notices %s', (_, planted) => {
    expect(breaches(planted)).not.toEqual([])
  })

  it('notices a circle', () => {
    expect(
      cyclesIn(
        new Map([
          ['a', ['b']],
          ['b', ['c']],
          ['c', ['a']],
        ]),
      ),
    ).toEqual(['a → b → c → a'])
  })
})
