import { ReadCodes } from '#shared/contracts/library'
import { readCodes } from '#usecases/library/tray'
import { handle } from '../../http/handle'

export default handle(ReadCodes, ({ deps, actor }, { body }) => readCodes(deps, actor, body.text))
