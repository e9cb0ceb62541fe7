import { built } from './steps/built.mjs'
import { installed } from './steps/installed.mjs'
import { ROOT } from './steps/run.mjs'
import { freePort, keptSecret, serve, staysWith } from './steps/serve.mjs'

// npm run start: the real thing, on a database that starts empty
await installed()
await built()
const port = await freePort(Number(process.env.PORT ?? 4300))
const database = process.env.STEP_CAIRN_DATABASE ?? `${ROOT}.data/step-cairn.db`
const { child, address } = await serve({
  port,
  env: { STEP_CAIRN_DATABASE: database, STEP_CAIRN_SECRET: process.env.STEP_CAIRN_SECRET ?? keptSecret() },
})
process.stdout.write(
  `\n  Step Cairn:  ${address}\n  Database:    ${database}\n\n` +
    '  Begin with "Set up a school" on the sign-in page. Ctrl C stops it.\n\n',
)
staysWith(child)
