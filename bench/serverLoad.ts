import { copyFileSync, existsSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import autocannon from 'autocannon'
import { DEMO_NOW } from '#demo/scenario'
import { DEMO_PASSWORD } from '#shared/demoPeople'
import { built } from '../scripts/steps/built.mjs'
import { demoDatabase } from '../scripts/steps/demoData.mjs'
import { freePort, serve } from '../scripts/steps/serve.mjs'
import type { Line } from './measure'

const CONNECTIONS = 50
const SECONDS = 4

/** What a server answered under load. */
export interface Load {
  readonly perSecond: number
  readonly p95Ms: number
}

interface LoadOptions {
  readonly connections?: number
  /** With one they are posts. */
  readonly body?: unknown
  /** All of them are meant to be refused. */
  readonly isRefused?: boolean
}

/** Requests to one address over so many lines at once. */
export async function load(
  url: string,
  cookie: string,
  { connections = CONNECTIONS, body, isRefused = false }: LoadOptions = {},
): Promise<Load> {
  const posted =
    body === undefined
      ? { headers: { cookie } }
      : {
          method: 'POST' as const,
          body: JSON.stringify(body),
          headers: { cookie, 'content-type': 'application/json' },
        }
  const got = await autocannon({ url, connections, duration: SECONDS, ...posted })
  const wrong = isRefused ? got['2xx'] : got.non2xx
  if (wrong > 0) throw new Error(`${wrong} requests to ${url} were ${isRefused ? 'let in' : 'refused'}`)
  return { perSecond: got.requests.average, p95Ms: got.latency.p97_5 }
}

export async function cookieOf(address: string, signIn: string): Promise<string> {
  const reply = await fetch(`${address}/api/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ signIn, password: DEMO_PASSWORD }),
  })
  return reply.headers
    .getSetCookie()
    .map((c) => c.split(';')[0])
    .join('; ')
}

/** The built server on a copy of the demo, or of what `prepare` makes of it. */
export async function demoServer(prepare: (file: string) => Promise<void> = async () => undefined) {
  await built()
  const demo = '.tmp/tests/demo.db'
  await demoDatabase(demo, { fresh: !existsSync(demo) })
  const folder = mkdtempSync(join(tmpdir(), 'bench-'))
  const file = join(folder, 'served.db')
  copyFileSync(demo, file)
  await prepare(file)
  const { child, address } = await serve({
    port: await freePort(4800, false),
    quiet: true,
    env: {
      STEP_CAIRN_DATABASE: file,
      STEP_CAIRN_SECRET: 'a secret for measuring only, 32 letters',
      STEP_CAIRN_DEMO_NOW: DEMO_NOW,
      STEP_CAIRN_TRUSTED_PROXIES: '127.0.0.1',
    },
  })
  const stop = () => {
    child.kill()
    rmSync(folder, { recursive: true, force: true })
  }
  return { address, stop }
}

const median = (list: readonly number[]) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0
const perSecond = (of: readonly Load[]) => median(of.map((l) => l.perSecond))

/** How much of one load another one reaches. */
export const share = (a: readonly Load[], b: readonly Load[]) => (perSecond(a) / perSecond(b)).toFixed(2)

/** A line of the report for some rounds of one load. */
export function line(what: string, of: readonly Load[], bar: string, note: string): Line {
  const slowest = median(of.map((l) => l.p95Ms))
  return {
    what,
    medianMs: 1000 / perSecond(of),
    bar,
    note: `${Math.round(perSecond(of))} a second, slowest fortieth ${slowest} ms${note}`,
  }
}
