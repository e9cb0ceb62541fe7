// Loaded into a server under test: at SIGUSR2 it clears its heap and writes down what is left of it, in bytes.
import { writeFileSync } from 'node:fs'
import { setFlagsFromString } from 'node:v8'
import { runInNewContext } from 'node:vm'

setFlagsFromString('--expose-gc')
const collect = runInNewContext('gc')

process.on('SIGUSR2', () => {
  collect()
  const { heapUsed, external } = process.memoryUsage()
  writeFileSync(process.env.HEAP_TOLD_IN, String(heapUsed + external))
})
