import { timingSafeEqual } from 'node:crypto'
import { getRequestHeader } from 'h3'
import { ok, refuse } from '#core/base'
import { ShowFigures } from '#shared/contracts/running'
import { serverOf } from '../http/context'
import { handleOpen } from '../http/handle'

export default handleOpen(ShowFigures, async ({ event }) => {
  const { figures, metricsToken } = serverOf(event)
  const given = Buffer.from(getRequestHeader(event, 'authorization') ?? '')
  const wanted = Buffer.from(`Bearer ${metricsToken ?? ''}`)
  const may = metricsToken !== null && given.length === wanted.length && timingSafeEqual(given, wanted)
  return may ? ok(figures.read()) : refuse({ code: 'wire/unknown-address' })
})
