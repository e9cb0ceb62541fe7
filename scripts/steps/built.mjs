import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join, relative } from 'node:path'
import { ROOT, runBin, runTs } from './run.mjs'

const SOURCES = [
  'app',
  'core',
  'db',
  'demo/content',
  'ports',
  'public',
  'server',
  'shared',
  'standins',
  'usecases',
  'nuxt.config.ts',
  'package.json',
  'package-lock.json',
  'tsconfig.node.json',
]

function* filesOf(path) {
  if (statSync(path).isFile()) yield path
  else for (const name of readdirSync(path).sort()) yield* filesOf(join(path, name))
}

/** A digest over the given files and folders, so that only what changed is made again. */
export function digestOf(names) {
  const hash = createHash('sha256')
  for (const name of names) {
    if (!existsSync(ROOT + name)) continue
    for (const file of filesOf(ROOT + name))
      if (!file.endsWith('.test.ts')) hash.update(relative(ROOT, file)).update(readFileSync(file))
  }
  return hash.digest('hex')
}

/** The worker for heavy jobs: one file, since a thread knows none of the build's aliases. */
export async function workerBuilt(outfile) {
  // only now: a bare clone has no packages before they are installed
  const { build } = await import('esbuild')
  mkdirSync(dirname(outfile), { recursive: true })
  await build({
    entryPoints: [`${ROOT}server/heavy/worker.ts`],
    outfile,
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    // some packages ask for parts of Node in the older way, which a module does not know
    banner: {
      js: "import { createRequire as requireFrom } from 'node:module'\nconst require = requireFrom(import.meta.url)",
    },
    logLevel: 'warning',
  })
}

/** Builds for production unless the build is of these very sources. */
export async function built() {
  const stamp = `${ROOT}.output/built-from`
  const wanted = digestOf(SOURCES)
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return
  process.stdout.write('Building …\n')
  await runBin('nuxt/bin/nuxt.mjs', ['build', '--logLevel=silent'], {
    env: { NODE_ENV: 'production', NUXT_TELEMETRY_DISABLED: '1' },
  })
  await workerBuilt(`${ROOT}.output/server/heavy.worker.mjs`)
  await runTs('demo/samples.ts', [`${ROOT}.output/server/samples.json`])
  writeFileSync(stamp, wanted)
}
