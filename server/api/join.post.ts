import { JoinClass } from '#shared/contracts/accounts'
import { joinClass } from '#usecases/accounts/joinClass'
import { handleOpen } from '../http/handle'
import { originOf } from '../http/origin'
import { welcome } from '../http/welcome'

export default handleOpen(JoinClass, async (asked, { body }) => {
  const origin = originOf(asked.event)
  return welcome(asked, origin, await joinClass(asked.deps, { ...body, origin }))
})
