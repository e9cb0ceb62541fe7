import { randomUUID } from 'node:crypto'
import contentDisposition from 'content-disposition'
import {
  defineEventHandler,
  getRequestHeader,
  getResponseStatus,
  setResponseHeader,
  setResponseStatus,
} from 'h3'
import type { EventHandler, H3Event } from 'h3'
import { ok, refuse } from '#core/base'
import type { Result } from '#core/base'
import { isFor } from '#core/access'
import type { AccessRefusal } from '#core/access'
import type { AnyContract, InputOf, ReplyOf } from '#shared/contracts/contract'
import { STATUS_OF } from '#shared/contracts/refusal'
import type { Refusal } from '#shared/contracts/refusal'
import { CannotWrite } from '#usecases/ground/cannotWrite'
import { actorOf } from '#usecases/accounts/session'
import type { Heavy } from '#usecases/ground/heavy'
import { serverOf } from './context'
import type { AskedBy } from './context'
import { log, logDefect } from './log'
import { hostOf } from './origin'
import { readRequest } from './readRequest'
import { ticketOf } from './session'

/** One address of the server: its contract, and what answers it. */
export interface Route {
  readonly contract: AnyContract
  readonly handler: EventHandler
}

type Act<C extends AnyContract, Reply> = (
  asked: AskedBy<C['for']>,
  input: InputOf<C>,
) => Promise<Result<Reply, Refusal>>

/** Who is asking, are they among those whom it is for, parse, act, reply. */
export function route<C extends AnyContract>(contract: C, act: Act<C, ReplyOf<C>>): Route {
  return { contract, handler: answering(contract, (event) => answer(event, contract, act)) }
}

interface FileText {
  readonly name: string
  readonly type: string
  readonly text: string | Uint8Array
  /** Shown where it stands, such as a picture; it never changes under its address. */
  readonly isShown?: boolean
}

/** The same, with a file for a reply. */
export function fileRoute<C extends AnyContract>(contract: C, act: Act<C, FileText>): Route {
  const handler = answering(contract, async (event) => sent(event, await answer(event, contract, act)))
  return { contract, handler }
}

async function answer<C extends AnyContract, Reply>(
  event: H3Event,
  contract: C,
  act: Act<C, Reply>,
): Promise<Result<Reply, Refusal>> {
  const asked = await askedBy(event, contract)
  if (!asked.ok) return asked
  const input = await readRequest(event, contract)
  return input.ok ? act(asked.value, input.value) : input
}

/** Who is asking, when they are among those whom the address is for. */
async function askedBy<C extends AnyContract>(
  event: H3Event,
  { for: whom }: C,
): Promise<Result<AskedBy<C['for']>, AccessRefusal>> {
  const { deps, demo, outbox } = serverOf(event)
  // of whom nobody asks who they are, the act asks nothing either
  if (whom === 'anybody') return ok({ deps, event, demo, outbox } as AskedBy<C['for']>)
  const actor = await actorOf(deps, ticketOf(event))
  if (!actor.ok) return actor
  if (whom !== 'newcomer' && actor.value.mustChangePassword)
    return refuse({ code: 'access/must-change-password' })
  if (!isFor(whom, actor.value)) return refuse({ code: 'access/denied' })
  const own = { ...deps, heavy: heavyOf(event, actor.value.userId) }
  return ok({ deps: own, actor: actor.value, event, demo, outbox } as unknown as AskedBy<C['for']>)
}

/** Heavy jobs of one request: they are given up when whoever asked goes away. */
function heavyOf(event: H3Event, who: string): Heavy {
  const { heavyUntil } = serverOf(event)
  return {
    run: (job, ...input) => {
      const gone = new AbortController()
      event.node.res.once('close', () => gone.abort())
      return heavyUntil(gone.signal, who).run(job, ...input)
    },
  }
}

function sent(event: H3Event, file: Result<FileText, Refusal>): Result<string | Uint8Array, Refusal> {
  if (!file.ok) return file
  const { name, type, text, isShown = false } = file.value
  setResponseHeader(event, 'content-type', type)
  const how = isShown ? 'inline' : 'attachment'
  setResponseHeader(event, 'content-disposition', contentDisposition(name, { type: how }))
  if (isShown) {
    setResponseHeader(event, 'cache-control', 'private, max-age=31536000, immutable')
    setResponseHeader(event, 'content-security-policy', "default-src 'none'; sandbox")
  }
  return { ok: true, value: text }
}

function answering(
  { method, path }: AnyContract,
  work: (event: H3Event) => Promise<Result<unknown, Refusal>>,
): EventHandler {
  return defineEventHandler(async (event) => {
    const began = performance.now()
    setResponseHeader(event, 'cache-control', 'no-store')
    const result = isForeign(event)
      ? { ok: false as const, error: { code: 'wire/foreign-origin' as const } }
      : await work(event).catch((error: unknown) => broken(error, `${method} ${path}`))
    if (!result.ok) setResponseStatus(event, STATUS_OF[result.error.code])
    serverOf(event).figures.note(`${method} ${path}`, getResponseStatus(event), performance.now() - began)
    return result.ok ? result.value : { error: result.error }
  })
}

/** A write that another site's page sent in somebody's name. Callers that are no browser send no origin. */
function isForeign(event: H3Event): boolean {
  const origin = getRequestHeader(event, 'origin')
  if (event.method === 'GET') return false
  if (getRequestHeader(event, 'sec-fetch-site') === 'cross-site') return true
  if (origin === undefined) return false
  return !URL.canParse(origin) || new URL(origin).host !== hostOf(event)
}

function broken(error: unknown, route: string): { readonly ok: false; readonly error: Refusal } {
  if (error instanceof CannotWrite) {
    log('cannot-save', { route, why: error.why })
    return { ok: false, error: { code: 'wire/cannot-save' } }
  }
  const requestId = randomUUID()
  logDefect(requestId, error)
  return { ok: false, error: { code: 'wire/broken', requestId } }
}
