import { execFileSync } from 'node:child_process'
import { run } from './run.mjs'

/** Installs a Debian package when the user may; false when not. */
export async function debian(name) {
  if (process.getuid?.() !== 0 || !hasApt()) return false
  process.stdout.write(`Installing ${name} from Debian …\n`)
  const env = { DEBIAN_FRONTEND: 'noninteractive' }
  await run('apt-get', ['update', '-qq'], { env })
  await run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name], {
    env,
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  return true
}

function hasApt() {
  try {
    execFileSync('apt-get', ['--version'], { stdio: 'ignore' })
    return true
  } catch {
    return false
  }
}
