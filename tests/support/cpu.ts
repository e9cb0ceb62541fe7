import { readFileSync } from 'node:fs'

/** How many steps of the processor's clock Linux counts in a second, for every process. */
const STEPS_A_SECOND = 100

interface Process {
  readonly pid: number
}

/** Milliseconds of processor that this process has used so far: what else the machine does, does not count. */
export function cpuMs(): number {
  const { user, system } = process.cpuUsage()
  return (user + system) / 1000
}

/** The same of another process, to the nearest 10 ms. */
export function cpuMsOf({ pid }: Process): number {
  return cpuMsIn(`/proc/${pid}/stat`)
}

/** The same of the one thread on which another process answers; its workers do not count. */
export function cpuMsOfMainThread({ pid }: Process): number {
  return cpuMsIn(`/proc/${pid}/task/${pid}/stat`)
}

function cpuMsIn(file: string): number {
  // the name stands in parentheses and may hold anything; user and system time are the 12th and 13th after it
  const after = readFileSync(file, 'utf8')
    .replace(/^.*\) /s, '')
    .split(' ')
  return ((Number(after[11]) + Number(after[12])) * 1000) / STEPS_A_SECOND
}
