import { readFileSync } from 'node:fs'

/** How many steps of the processor's clock Linux counts in a second, for every process. */
const STEPS_A_SECOND = 100

/** Milliseconds of processor that this process has used so far: what else the machine does, does not count. */
export function cpuMs(): number {
  const { user, system } = process.cpuUsage()
  return (user + system) / 1000
}

/** The same of another process, to the nearest 10 ms. */
export function cpuMsOf({ pid }: { readonly pid: number }): number {
  // the name stands in parentheses and may hold anything; user and system time are the 12th and 13th after it
  const after = readFileSync(`/proc/${pid}/stat`, 'utf8')
    .replace(/^.*\) /s, '')
    .split(' ')
  return ((Number(after[11]) + Number(after[12])) * 1000) / STEPS_A_SECOND
}
