import { ok, refuse } from '#core/base'
import { ShowOutbox } from '#shared/contracts/running'
import { isTeacher } from '#core/access'
import { handle } from '../http/handle'

export default handle(ShowOutbox, async ({ actor, outbox }) => {
  if (outbox === null) return refuse({ code: 'access/not-found', what: 'outbox' })
  return isTeacher(actor) ? ok({ letters: outbox() }) : refuse({ code: 'access/denied' })
})
