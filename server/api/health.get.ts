import { setResponseStatus } from 'h3'
import { ok } from '#core/base'
import { ShowHealth } from '#shared/contracts/running'
import { handleOpen } from '../http/handle'
import { VERSION } from '../http/version'

export default handleOpen(ShowHealth, async ({ deps, event }) => {
  const canWrite = await deps.store.canWrite()
  if (!canWrite) setResponseStatus(event, 503)
  return ok({ ready: canWrite, canWrite, version: VERSION })
})
