import { installed } from './steps/installed.mjs'
import { prepared } from './steps/prepared.mjs'
import { runBin } from './steps/run.mjs'

await installed()
await prepared()
for (const project of ['core', 'usecases', 'tsconfig.node.json', 'tests/e2e'])
  await runBin('typescript/bin/tsc', ['-p', project, '--noEmit'])
for (const project of ['app', 'server'])
  await runBin('vue-tsc/bin/vue-tsc.js', ['-p', `.nuxt/tsconfig.${project}.json`, '--noEmit'])
