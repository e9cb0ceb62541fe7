import { existsSync } from 'node:fs'
import { debian } from './debian.mjs'

const PATH = '/usr/bin/calcurse'

/** A calendar program that nobody here wrote, to read our feeds with; installs Debian's where it is missing and the user may, else says what to do. */
export async function calendarProgram() {
  if (existsSync(PATH) || await debian('calcurse')) return PATH
  process.stderr.write('calcurse is needed for the test of the calendar feed. Install it (on Debian: apt-get install calcurse).\n')
  process.exit(1)
}
