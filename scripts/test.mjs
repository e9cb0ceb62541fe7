import { browser } from './steps/browser.mjs'
import { calendarProgram } from './steps/calendarProgram.mjs'
import { built } from './steps/built.mjs'
import { demoDatabase } from './steps/demoData.mjs'
import { installed } from './steps/installed.mjs'
import { ROOT, run, runBin } from './steps/run.mjs'

// npm test: everything a change has to pass, from a bare clone on
await installed()
const chromium = await browser()
const calcurse = await calendarProgram()
await runBin('prettier/bin/prettier.cjs', ['--check', '.', '--log-level', 'warn'])
await runBin('eslint/bin/eslint.js', ['.', '--max-warnings', '0'])
await run(process.execPath, ['scripts/typecheck.mjs'])
await built()
await demoDatabase(`${ROOT}.tmp/tests/demo.db`, { fresh: true })
const env = { CHROMIUM: chromium, CALCURSE: calcurse }
const more = process.argv.slice(2)
// one after the other: the journeys need both cores to themselves
if (more.length > 0) await runBin('vitest/vitest.mjs', ['run', ...more], { env })
else {
  await runBin('vitest/vitest.mjs', ['run', '--project', 'core', '--project', 'routes'], { env })
  await runBin('vitest/vitest.mjs', ['run', '--project', 'e2e'], { env })
}
