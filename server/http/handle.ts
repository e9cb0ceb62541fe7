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
import { refuse } from '#core/base'
import type { Result } from '#core/base'
import type { AnyContract, InputOf, ReplyOf } from '#shared/contracts/contract'
import { STATUS_OF } from '#shared/contracts/refusal'
import type { Refusal } from '#shared/contracts/refusal'
import { CannotWrite } from '#usecases/ground/cannotWrite'
import { actorOf } from '#usecases/accounts/session'
import type { Heavy } from '#usecases/ground/heavy'
import { serverOf } from './context'
import type { Asked } from './context'
import { logDefect } from './log'
import { hostOf } from './origin'
import { readRequest } from './readRequest'
import { ticketOf } from './session'

type Act<C extends AnyContract, A> = (asked: A, input: InputOf<C>) => Promise<Result<ReplyOf<C>, Refusal>>

/** A route for signed-in people: who is asking, parse, act, reply. */
export function handle<C extends AnyContract>(contract: C, act: Act<C, Asked>): EventHandler {
  return handleEarly(contract, async (asked, input) =>
    asked.actor.mustChangePassword ? refuse({ code: 'access/must-change-password' }) : act(asked, input),
  )
}

/** The same, for those too who have yet to choose a password of their own. */
export function handleEarly<C extends AnyContract>(contract: C, act: Act<C, Asked>): EventHandler {
  return answering(contract, async (event) => {
    const { deps, demo, outbox } = serverOf(event)
    const actor = await actorOf(deps, ticketOf(event))
    if (!actor.ok) return actor
    const input = await readRequest(event, contract)
    if (!input.ok) return input
    const own = { ...deps, heavy: heavyOf(event) }
    return act({ deps: own, actor: actor.value, event, demo, outbox }, input.value)
  })
}

/** Heavy jobs of one request: they are given up when whoever asked goes away. */
function heavyOf(event: H3Event): Heavy {
  const { heavyUntil } = serverOf(event)
  return {
    run: (job, ...input) => {
      const gone = new AbortController()
      event.node.res.once('close', () => gone.abort())
      return heavyUntil(gone.signal).run(job, ...input)
    },
  }
}

/** A route for anyone, such as signing in. */
export function handleOpen<C extends AnyContract>(
  contract: C,
  act: Act<C, Omit<Asked, 'actor'>>,
): EventHandler {
  return answering(contract, async (event) => {
    const { deps, demo, outbox } = serverOf(event)
    const input = await readRequest(event, contract)
    return input.ok ? act({ deps, event, demo, outbox }, input.value) : input
  })
}

interface FileText {
  readonly name: string
  readonly type: string
  readonly text: string | Uint8Array
  /** Shown where it stands, such as a picture; it never changes under its address. */
  readonly isShown?: boolean
}

/** A route that sends a file to signed-in people. */
export function handleFile<C extends AnyContract>(
  contract: C,
  act: (asked: Asked, input: InputOf<C>) => Promise<Result<FileText, Refusal>>,
): EventHandler {
  return handle(contract as AnyContract, async (asked, input) =>
    sent(asked.event, await act(asked, input as InputOf<C>)),
  )
}

/** A file for whoever has its address, such as a calendar program. */
export function handleOpenFile<C extends AnyContract>(
  contract: C,
  act: (asked: Omit<Asked, 'actor'>, input: InputOf<C>) => Promise<Result<FileText, Refusal>>,
): EventHandler {
  return handleOpen(contract as AnyContract, async (asked, input) =>
    sent(asked.event, await act(asked, input as InputOf<C>)),
  )
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
      : await work(event).catch((error: unknown) => broken(error))
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

function broken(error: unknown): { readonly ok: false; readonly error: Refusal } {
  if (error instanceof CannotWrite) return { ok: false, error: { code: 'wire/cannot-save' } }
  const requestId = randomUUID()
  logDefect(requestId, error)
  return { ok: false, error: { code: 'wire/broken', requestId } }
}
