import { existsSync } from 'node:fs'
import { built } from './steps/built.mjs'
import { DEMO_NOW, demoDatabase } from './steps/demoData.mjs'
import { installed } from './steps/installed.mjs'
import { ROOT } from './steps/run.mjs'
import { freePort, keptSecret, serve, staysWith } from './steps/serve.mjs'

// npm run demo [-- --fresh]: everything from nothing to a running demo school
await installed()
await built()
const database = `${ROOT}.data/demo.db`
const known = existsSync(database) && !process.argv.includes('--fresh')
await demoDatabase(database, { fresh: !known })
const port = await freePort(Number(process.env.PORT ?? 4310))
const { child, address } = await serve({
  port,
  env: { STEP_CAIRN_DATABASE: database, STEP_CAIRN_SECRET: keptSecret(), STEP_CAIRN_DEMO_NOW: DEMO_NOW },
})
process.stdout.write(`
  Step Cairn, demo school Tarn Hollow:  ${address}

  One click on the sign-in page, or by name (password of all: tarn-hollow)
    imani    teacher, five science sections      noa      learner, Science 8 A
    tomasz   co-teacher of Science 8 B           emeka    learner, Science 8 B, extra time
    ruth     leads the science department        linh     learner, Science 8 C
                                                 saoirse  learner, Science 7 D

  The demo's day is Wednesday 21 October 2026. What you do is kept;
  npm run demo -- --fresh starts over. Ctrl C stops it.

`)
staysWith(child)
