import type { CommentId } from '#core/base'
import type { KeptComment } from '#core/evidence'
import { ForgetComment, KeepComment } from '#shared/contracts/evidence'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'

/** Keeps and forgets comments; `known` hears which there are then. */
export function useKeptComments(known: (comments: readonly KeptComment[]) => void) {
  const tell = useTell()
  const heard = (reply: Awaited<ReturnType<typeof call<typeof KeepComment>>>) =>
    reply.ok ? known(reply.value.comments) : tell.refused(reply.error)
  const keepComment = async (text: string) => heard(await call(KeepComment, { body: { text } }))
  const forgetComment = async (id: CommentId) => heard(await call(ForgetComment, { params: { id } }))
  return { keepComment, forgetComment }
}
