import { ReadFeed } from '#shared/contracts/pacing'
import { readFeed } from '#usecases/pacing/files'
import { handleOpenFile } from '../../http/handle'

export default handleOpenFile(ReadFeed, ({ deps }, { params }) => readFeed(deps, params.token))
