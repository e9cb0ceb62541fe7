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
const ROUNDS = 3
const WRONG_A_SECOND = 60
const median = (list: readonly number[]) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0

interface Load {
  readonly perSecond: number
  readonly p95Ms: number
}

/** Requests to one address over so many lines at once. */
async function load(url: string, cookie: string, connections = CONNECTIONS): Promise<Load> {
  const got = await autocannon({ url, connections, duration: SECONDS, headers: { cookie } })
  return { perSecond: got.requests.average, p95Ms: got.latency.p97_5 }
}

async function cookieOf(address: string, signIn: string): Promise<string> {
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

/** Wrong sign-ins under ever other names from ever other addresses, until the work is done. */
async function besideWrongSignIns<T>(address: string, work: () => Promise<T>): Promise<T> {
  let [n, isOver] = [0, false]
  const knock = () =>
    void fetch(`${address}/api/sign-in`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', 'x-forwarded-for': `10.1.${n >> 8}.${n % 256}` },
      body: JSON.stringify({ signIn: `stranger${n++}`, password: 'wrong one' }),
    }).then(
      (reply) => reply.text(),
      () => '',
    )
  const timer = setInterval(() => (isOver ? undefined : knock()), 1000 / WRONG_A_SECOND)
  try {
    return await work()
  } finally {
    isOver = true
    clearInterval(timer)
  }
}

/** What a session costs a request, and what strangers at the door cost everybody else. */
export async function doorsBench(): Promise<Line[]> {
  await built()
  const demo = '.tmp/tests/demo.db'
  await demoDatabase(demo, { fresh: !existsSync(demo) })
  const folder = mkdtempSync(join(tmpdir(), 'bench-'))
  const file = join(folder, 'doors.db')
  copyFileSync(demo, file)
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
  const runs: Record<'empty' | 'me' | 'alone' | 'beside', Load[]> = {
    empty: [],
    me: [],
    alone: [],
    beside: [],
  }
  try {
    const learner = await cookieOf(address, 'noa')
    for (let round = 0; round < ROUNDS; round++) {
      runs.empty.push(await load(`${address}/api/entry`, ''))
      runs.me.push(await load(`${address}/api/me`, learner))
      runs.alone.push(await load(`${address}/api/my-work`, learner, 5))
      runs.beside.push(await besideWrongSignIns(address, () => load(`${address}/api/my-work`, learner, 5)))
    }
  } finally {
    child.kill()
    rmSync(folder, { recursive: true, force: true })
  }
  const perSecond = (of: readonly Load[]) => median(of.map((l) => l.perSecond))
  const p95 = (of: readonly Load[]) => median(of.map((l) => l.p95Ms))
  const line = (what: string, of: readonly Load[], bar: string, note: string): Line => ({
    what,
    medianMs: 1000 / perSecond(of),
    bar,
    note: `${Math.round(perSecond(of))} a second, slowest fortieth ${p95(of)} ms${note}`,
  })
  const share = (a: readonly Load[], b: readonly Load[]) => (perSecond(a) / perSecond(b)).toFixed(2)
  return [
    line('an empty route, 50 connections', runs.empty, '', ''),
    line('who am I, signed in', runs.me, '0.5 of empty', `, ${share(runs.me, runs.empty)} of empty`),
    line("a learner's list, 5 connections", runs.alone, '', ''),
    line(
      'the same beside 60 wrong sign-ins a second',
      runs.beside,
      '2 times alone',
      `, ${share(runs.alone, runs.beside)} times alone`,
    ),
  ]
}
