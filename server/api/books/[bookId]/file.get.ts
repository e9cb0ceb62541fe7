import { BookFile } from '#shared/contracts/files'
import { outlineFile } from '#usecases/library/exports'
import { handleFile } from '../../../http/handle'

export default handleFile(BookFile, ({ deps, actor }, { params }) => outlineFile(deps, actor, params.bookId))
