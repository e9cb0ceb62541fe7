import { ok } from '#core/base'
import { DemoPeople } from '#shared/contracts/accounts'
import { DEMO_PEOPLE } from '#shared/demoPeople'
import { handleOpen } from '../http/handle'

export default handleOpen(DemoPeople, async ({ demo }) => ok({ people: demo ? DEMO_PEOPLE : [] }))
