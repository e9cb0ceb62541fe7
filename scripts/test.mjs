import { audited } from './steps/audited.mjs'
import { browser } from './steps/browser.mjs'
import { calendarProgram } from './steps/calendarProgram.mjs'
import { built } from './steps/built.mjs'
import { demoDatabase } from './steps/demoData.mjs'
import { installed } from './steps/installed.mjs'
import { prepared } from './steps/prepared.mjs'
import { ROOT, run, runBin } from './steps/run.mjs'

// npm test: everything a change has to pass, from a bare clone on
await installed()
const known = audited()
const chromium = await browser()
const calcurse = await calendarProgram()
await prepared()
/** What is wrong with the sources, in the order in which it is quickest to find. */
async function looked() {
  await runBin('prettier/bin/prettier.cjs', ['--check', '.', '--log-level', 'warn'])
  await runBin('knip/bin/knip.js', ['--no-progress'])
  await runBin('eslint/bin/eslint.js', ['.', '--max-warnings', '0'])
}
/** The build and the demo school that the tests run against. */
async function made() {
  await run(process.execPath, ['scripts/typecheck.mjs'])
  await built()
  await demoDatabase(`${ROOT}.tmp/tests/demo.db`, { fresh: true })
}
// each keeps one of two cores busy
await Promise.all([looked(), made()])
const env = { CHROMIUM: chromium, CALCURSE: calcurse }
const more = process.argv.slice(2)
process.stdout.write(`${await known}\n`)
// one after the other: the journeys need both cores to themselves
if (more.length > 0) await runBin('vitest/vitest.mjs', ['run', ...more], { env })
else {
  const projects = ['core', 'routes', 'fuzz'].flatMap((name) => ['--project', name])
  await runBin('vitest/vitest.mjs', ['run', ...projects], { env })
  await runBin('vitest/vitest.mjs', ['run', '--project', 'e2e'], { env })
}
