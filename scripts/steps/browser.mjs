import { existsSync } from 'node:fs'
import { debian } from './debian.mjs'

const PLACES = [
  process.env.CHROMIUM,
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
]
const found = () => PLACES.find((p) => p && existsSync(p))

/**
 * The path of Chromium; installs Debian's package where it is missing and the user may, else says what to do.
 */
export async function browser() {
  if (found() || (await debian('chromium'))) return found()
  process.stderr.write(
    'Chromium is needed for the browser tests. ' +
      'Install it (on Debian: apt-get install chromium) or name it in CHROMIUM.\n',
  )
  process.exit(1)
}
