import { existsSync } from 'node:fs'
import { ROOT, runBin } from './run.mjs'

/** Makes the types that Nuxt generates, which the type check and the lint with types read. */
export async function prepared() {
  if (existsSync(`${ROOT}.nuxt/tsconfig.app.json`)) return
  await runBin('nuxt/bin/nuxt.mjs', ['prepare', '--logLevel=silent'])
}
