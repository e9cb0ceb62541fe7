import { execFile } from 'node:child_process'
import { ROOT } from './run.mjs'

const SECONDS = 60

/** What is known against the packages that ship, in a line; a registry that does not answer is no failure. */
export function audited() {
  return new Promise((resolve) => {
    const args = ['audit', '--omit=dev', '--json']
    execFile('npm', args, { cwd: ROOT, timeout: SECONDS * 1000, maxBuffer: 20_000_000 }, (_, text) => {
      resolve(said(text))
    })
  })
}

function said(text) {
  const found = readJson(text)?.metadata?.vulnerabilities
  if (!found) return 'Packages that ship: the registry says nothing about weaknesses now.'
  const known = ['critical', 'high', 'moderate', 'low'].filter((level) => found[level] > 0)
  const list = known.map((level) => `${found[level]} ${level}`).join(', ')
  return `Packages that ship: ${list === '' ? 'no weakness is known' : `known weaknesses: ${list}`}.`
}

function readJson(text) {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}
