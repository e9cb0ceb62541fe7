import { existsSync } from 'node:fs'
import { workerBuilt } from './steps/built.mjs'
import { DEMO_NOW, demoDatabase } from './steps/demoData.mjs'
import { installed } from './steps/installed.mjs'
import { ROOT, runBin } from './steps/run.mjs'
import { freePort, keptSecret } from './steps/serve.mjs'

// npm run dev: the demo school with reloading
await installed()
const database = `${ROOT}.data/dev.db`
await demoDatabase(database, { fresh: !existsSync(database) })
const worker = `${ROOT}.data/heavy.worker.mjs`
await workerBuilt(worker)
const port = await freePort(Number(process.env.PORT ?? 4320))
await runBin('nuxt/bin/nuxt.mjs', ['dev', '--host', '127.0.0.1', '--port', String(port)], {
  env: {
    STEP_CAIRN_DATABASE: database,
    STEP_CAIRN_SECRET: keptSecret(),
    STEP_CAIRN_DEMO_NOW: DEMO_NOW,
    STEP_CAIRN_WORKER: worker,
  },
})
