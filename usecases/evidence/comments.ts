import { asId, ok } from '#core/base'
import type { CommentId, Result } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import type { KeptComment } from '#core/evidence'
import { addComment, commentsOf, dropComment } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'

/** As many as one teacher keeps; the oldest gives way. */
const MOST_COMMENTS = 200

type Kept = Result<{ readonly comments: readonly KeptComment[] }, AccessRefusal>

/** Keeps a comment of the teacher to use it again; what is kept already, is not kept twice. */
export async function keepComment(
  deps: Deps,
  actor: Teacher,
  { text }: { readonly text: string },
): Promise<Kept> {
  return writing(deps.store, async (tx): Promise<Kept> => {
    const kept = await commentsOf(tx, actor.userId)
    const said = text.trim()
    if (said !== '' && !kept.some((c) => c.text === said)) {
      const oldest = kept[MOST_COMMENTS - 1]
      if (oldest) await dropComment(tx, { id: oldest.id, ownerId: actor.userId })
      await addComment(tx, { id: asId<CommentId>(deps.ids.newId()), ownerId: actor.userId, text: said })
    }
    return ok({ comments: await commentsOf(tx, actor.userId) })
  })
}

/** Forgets a kept comment of the teacher; what was said to learners with it stays. */
export async function forgetComment(
  deps: Deps,
  actor: Teacher,
  { id }: { readonly id: CommentId },
): Promise<Kept> {
  return writing(deps.store, async (tx): Promise<Kept> => {
    await dropComment(tx, { id, ownerId: actor.userId })
    return ok({ comments: await commentsOf(tx, actor.userId) })
  })
}
