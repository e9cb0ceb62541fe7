import { execFileSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { run } from './run.mjs'

const PLACES = [process.env.CHROMIUM, '/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome']

/** The path of Chromium; installs Debian's package where it is missing and the user may, else says what to do. */
export async function browser() {
  const found = () => PLACES.find(p => p && existsSync(p))
  if (found()) return found()
  const missing = 'Chromium is needed for the browser tests. Install it (on Debian: apt-get install chromium) or name it in CHROMIUM.'
  if (process.getuid?.() !== 0 || !hasApt()) {
    process.stderr.write(`${missing}\n`)
    process.exit(1)
  }
  process.stdout.write('Installing Chromium from Debian …\n')
  const env = { DEBIAN_FRONTEND: 'noninteractive' }
  await run('apt-get', ['update', '-qq'], { env })
  await run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], { env, stdio: ['ignore', 'ignore', 'inherit'] })
  return found()
}

function hasApt() {
  try {
    execFileSync('apt-get', ['--version'], { stdio: 'ignore' })
    return true
  }
  catch {
    return false
  }
}
