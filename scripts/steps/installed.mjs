import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { createHash } from 'node:crypto'
import { ROOT, run } from './run.mjs'

/** Installs the locked dependencies when they are missing or the lock file has changed since. */
export async function installed() {
  const stamp = `${ROOT}node_modules/.step-cairn-lock`
  const wanted = createHash('sha256')
    .update(readFileSync(`${ROOT}package-lock.json`))
    .digest('hex')
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return
  process.stdout.write('Installing the locked dependencies …\n')
  await run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    env: { NODE_ENV: 'development' },
  })
  writeFileSync(stamp, wanted)
}
