import { existsSync } from 'node:fs'
import { debian } from './debian.mjs'

const PATH = '/usr/bin/calcurse'

/**
 * A calendar program that nobody here wrote, to read our feeds with; installs Debian's where it is missing
 * and the user may. Without it its test is left out, and that is said.
 */
export async function calendarProgram() {
  if (existsSync(PATH) || (await debian('calcurse').catch(() => false))) return PATH
  process.stdout.write(
    'calcurse is missing and could not be installed: the test that reads the calendar feed with it ' +
      'is left out (on Debian: apt-get install calcurse).\n',
  )
  return ''
}
