import { spawn } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { ROOT } from './run.mjs'

function isFree(port) {
  return new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)))
  })
}

/** The first free port from `wanted` on; says so when it is another one. */
export async function freePort(wanted, told = true) {
  for (let port = wanted; port < wanted + 50; port++) {
    if (!(await isFree(port))) continue
    if (port !== wanted && told) process.stdout.write(`Port ${wanted} is taken, using ${port}.\n`)
    return port
  }
  throw new Error(`No free port from ${wanted} to ${wanted + 49}.`)
}

/** The secret that seals session cookies, made once and kept beside the database. */
export function keptSecret() {
  const file = `${ROOT}.data/secret`
  if (!existsSync(file)) {
    mkdirSync(`${ROOT}.data`, { recursive: true })
    writeFileSync(file, randomBytes(32).toString('base64url'), { mode: 0o600 })
  }
  return readFileSync(file, 'utf8').trim()
}

/** Starts the built server; resolves once it answers, or says why it did not. */
export async function serve({ port, env, quiet = false }) {
  const child = spawn(process.execPath, [`${ROOT}.output/server/index.mjs`], {
    cwd: ROOT,
    stdio: ['ignore', quiet ? 'ignore' : 'inherit', quiet ? 'pipe' : 'inherit'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      HOST: '127.0.0.1',
      NITRO_HOST: '127.0.0.1',
      NITRO_PORT: String(port),
      STEP_CAIRN_MIGRATIONS: `${ROOT}db/migrations`,
      ...env,
    },
  })
  let errors = ''
  child.stderr?.on('data', (chunk) => {
    errors = (errors + chunk).slice(-4000)
  })
  const address = `http://127.0.0.1:${port}`
  let ended = false
  const gone = new Promise((_, reject) =>
    child.once('close', (code) => {
      ended = true
      reject(new Error(`The server stopped while starting (code ${code}). ${errors}`))
    }),
  )
  gone.catch(() => undefined)
  const answers = async () => {
    while (!ended) {
      const reply = await fetch(`${address}/api/me`).catch(() => null)
      if (reply) return
      await new Promise((resolve) => setTimeout(resolve, 50))
    }
  }
  await Promise.race([answers(), gone])
  return { child, address, errors: () => errors }
}

/** Ends with the server, and ends the server when asked to stop. */
export function staysWith(child) {
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal))
  child.on('exit', (code) => process.exit(code ?? 0))
}
