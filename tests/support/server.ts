import { once } from 'node:events'
import { copyFileSync, existsSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterAll } from 'vitest'
import type { Result } from '#core/base'
import type { AnyContract, CallOf, ReplyOf } from '#shared/contracts/contract'
import type { Refusal } from '#shared/contracts/refusal'
import { SignIn } from '#shared/contracts/accounts'
import { DEMO_PASSWORD } from '#shared/demoPeople'
import { freePort, serve } from '../../scripts/steps/serve.mjs'
import { aFolder } from './world'
import { DEMO_NOW } from '../../demo/scenario'

export const DEMO = fileURLToPath(new URL('../../.tmp/tests/demo.db', import.meta.url))
export const SECRET = 'a secret for tests only, 32 letters and more'

export interface Running {
  readonly address: string
  readonly file: string
  readonly pid: number
  readonly stop: (signal?: 'SIGTERM' | 'SIGKILL') => Promise<void>
  readonly errors: () => string
}
const running = new Set<Running>()
afterAll(async () => {
  for (const server of running) await server.stop()
})

/** The production build on a database file: a copy of the demo, an empty one, or a given one. */
export async function aServer(
  on: 'demo' | 'empty' | { readonly file: string },
  settings: Readonly<Record<string, string>> = {},
): Promise<Running> {
  const file = typeof on === 'object' ? on.file : join(aFolder(), 'served.db')
  if (on === 'demo') {
    if (!existsSync(DEMO)) throw new Error('The demo database is missing: run npm test, which makes it.')
    copyFileSync(DEMO, file)
  }
  const port = await freePort(4400 + Math.floor(Math.random() * 400), false)
  const { child, address, errors } = await serve({
    port,
    quiet: true,
    env: {
      STEP_CAIRN_DATABASE: file,
      STEP_CAIRN_SECRET: SECRET,
      ...(on === 'empty' ? {} : { STEP_CAIRN_DEMO_NOW: DEMO_NOW }),
      ...settings,
    },
  })
  const server: Running = {
    address,
    file,
    pid: child.pid as number,
    errors,
    stop: async (signal = 'SIGTERM') => {
      running.delete(server)
      if (child.exitCode !== null || child.signalCode !== null) return
      const gone = once(child, 'exit')
      child.kill(signal)
      await gone
    },
  }
  running.add(server)
  return server
}

/** Somebody at a browser's end of the wire, with a cookie of their own. */
export class Agent {
  cookie = ''
  constructor(readonly server: Running) {}

  /** Any request, as it is. */
  async raw(
    method: string,
    path: string,
    body?: unknown,
    headers: Readonly<Record<string, string>> = {},
  ): Promise<{ readonly status: number; readonly text: string; readonly headers: Headers }> {
    const reply = await fetch(this.server.address + path, {
      method,
      redirect: 'manual',
      headers: {
        ...(this.cookie ? { cookie: this.cookie } : {}),
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
        ...headers,
      },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    })
    const set = reply.headers.getSetCookie().find((c) => c.startsWith('step-cairn='))
    if (set) this.cookie = set.split(';')[0] ?? ''
    return { status: reply.status, text: await reply.text(), headers: reply.headers }
  }

  /** A call by contract. */
  async call<C extends AnyContract>(
    contract: C,
    input: CallOf<C> = {},
  ): Promise<Result<ReplyOf<C>, Refusal> & { readonly status: number; readonly text: string }> {
    const params = (input.params ?? {}) as Record<string, string>
    const query = new URLSearchParams((input.query ?? {}) as Record<string, string>)
    const path =
      contract.path.replace(/:(\w+)/g, (_, name: string) => params[name] ?? '') +
      (query.size ? `?${query}` : '')
    const { status, text } = await this.raw(
      contract.method,
      path,
      contract.method === 'POST' ? (input.body ?? {}) : undefined,
    )
    const value: unknown = text === '' ? null : JSON.parse(text)
    return status < 400
      ? { ok: true, value: value as ReplyOf<C>, status, text }
      : { ok: false, error: (value as { readonly error: Refusal }).error, status, text }
  }
}

/** Somebody signed in. */
export async function signedIn(server: Running, signIn: string, password = DEMO_PASSWORD): Promise<Agent> {
  const agent = new Agent(server)
  const reply = await agent.call(SignIn, { body: { signIn, password } })
  if (!reply.ok) throw new Error(`${signIn} could not sign in: ${reply.text}`)
  return agent
}
