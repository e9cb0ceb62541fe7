import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs'
import { join, relative } from 'node:path'
import { ROOT, runBin } from './run.mjs'

const SOURCES = [
  'app',
  'core',
  'db',
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

/** Builds for production unless the build is of these very sources. */
export async function built() {
  const stamp = `${ROOT}.output/built-from`
  const wanted = digestOf(SOURCES)
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return
  process.stdout.write('Building …\n')
  await runBin('nuxt/bin/nuxt.mjs', ['build', '--logLevel=silent'], {
    env: { NODE_ENV: 'production', NUXT_TELEMETRY_DISABLED: '1' },
  })
  mkdirSync(`${ROOT}.output`, { recursive: true })
  writeFileSync(stamp, wanted)
}
