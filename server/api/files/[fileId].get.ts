import { ok } from '#core/base'
import { ShowFile } from '#shared/contracts/files'
import { showFile } from '#usecases/library/files'
import { handleFile } from '../../http/handle'

export default handleFile(ShowFile, async ({ deps, actor }, { params }) => {
  const found = await showFile(deps, actor, params.fileId)
  if (!found.ok) return found
  const { name, type, sort } = found.value.file
  return ok({ name, type, text: found.value.bytes, isShown: sort !== 'document' && sort !== 'text' })
})
