import { getRequestHeader, setResponseStatus } from 'h3'
import { timingSafeEqual } from 'node:crypto'
import { ok, refuse } from '#core/base'
import { ShowFigures, ShowHealth, ShowOutbox } from '#shared/contracts/running'
import { showOutbox } from '#usecases/notices/showOutbox'
import { serverOf } from '../http/context'
import { VERSION } from '../http/version'
import { route } from '../http/route'
import type { Route } from '../http/route'

/** How the server is; what it mailed. */
export const RUNNING_ROUTES: readonly Route[] = [
  route(ShowHealth, async ({ deps, event }) => {
    const canWrite = await deps.store.canWrite()
    if (!canWrite) setResponseStatus(event, 503)
    return ok({ ready: canWrite, canWrite, version: VERSION })
  }),
  route(ShowOutbox, async ({ deps, actor, outbox }) =>
    outbox === null
      ? refuse({ code: 'access/not-found', what: 'outbox' })
      : showOutbox(deps, actor, outbox()),
  ),
  route(ShowFigures, async ({ event }) => {
    const { figures, metricsToken } = serverOf(event)
    const given = Buffer.from(getRequestHeader(event, 'authorization') ?? '')
    const wanted = Buffer.from(`Bearer ${metricsToken ?? ''}`)
    const may = metricsToken !== null && given.length === wanted.length && timingSafeEqual(given, wanted)
    return may ? ok(figures.read()) : refuse({ code: 'wire/unknown-address' })
  }),
]
