import { existsSync } from 'node:fs'
import { installed } from './steps/installed.mjs'
import { ROOT, runBin } from './steps/run.mjs'

await installed()
if (!existsSync(`${ROOT}.nuxt/tsconfig.app.json`))
  await runBin('nuxt/bin/nuxt.mjs', ['prepare', '--logLevel=silent'])
for (const project of ['core', 'usecases', 'tsconfig.node.json', 'tests/e2e'])
  await runBin('typescript/bin/tsc', ['-p', project, '--noEmit'])
for (const project of ['app', 'server'])
  await runBin('vue-tsc/bin/vue-tsc.js', ['-p', `.nuxt/tsconfig.${project}.json`, '--noEmit'])
