import { copyFileSync, existsSync, mkdirSync, readFileSync, renameSync, rmSync } from 'node:fs'
import { dirname } from 'node:path'
import { digestOf } from './built.mjs'
import { ROOT, runTs } from './run.mjs'

/** The instant at which the demo's clock starts, as demo/scenario.ts has it. */
export const DEMO_NOW = /DEMO_NOW = '([^']+)'/.exec(readFileSync(`${ROOT}demo/scenario.ts`, 'utf8'))[1]

const SOURCES = ['core', 'db', 'demo', 'ports', 'standins', 'usecases', 'shared/demoPeople.ts']

/**
 * Puts a filled demo database at `path`. The filling is done once for the same sources and copied from then
 * on.
 */
export async function demoDatabase(path, { fresh }) {
  if (!fresh) return
  const template = `${ROOT}.tmp/demo-${digestOf(SOURCES).slice(0, 16)}.db`
  mkdirSync(dirname(template), { recursive: true })
  mkdirSync(dirname(path), { recursive: true })
  if (!existsSync(template)) {
    process.stdout.write('Filling the demo school …\n')
    const part = `${template}.part`
    for (const end of ['', '-wal', '-shm']) rmSync(part + end, { force: true })
    await runTs('demo/fill.ts', [part])
    renameSync(part, template)
  }
  for (const end of ['-wal', '-shm']) rmSync(path + end, { force: true })
  copyFileSync(template, path)
}
