import { built } from './steps/built.mjs'
import { installed } from './steps/installed.mjs'

await installed()
await built()
