import { and, desc, eq, inArray, sql } from 'drizzle-orm'
import type { AttemptId, CommentId, ItemId, UserId } from '#core/base'
import type { KeptComment, ScoreDraft } from '#core/evidence'
import { scoreDraftBody } from '../rows/bodies'
import { users } from '../schema/people'
import { keptComments, scoreDrafts } from '../schema/scoring'
import type { Connection } from './store'

/** What was given for one answer and is not released yet. */
export interface DraftRecord extends ScoreDraft {
  readonly by: UserId
  readonly attemptId: AttemptId
  readonly itemId: ItemId
}

/** Drafts for answers of tries; an answer without one is absent. */
export async function draftsOf(tx: Connection, ids: readonly AttemptId[]): Promise<readonly DraftRecord[]> {
  if (ids.length === 0) return []
  const rows = await tx
    .select({ draft: scoreDrafts, byName: users.name })
    .from(scoreDrafts)
    .innerJoin(users, eq(users.id, scoreDrafts.changedBy))
    .where(inArray(scoreDrafts.attemptId, [...ids]))
  return rows.map(({ draft, byName }) => ({
    attemptId: draft.attemptId,
    itemId: draft.itemId,
    version: draft.version,
    by: draft.changedBy,
    byName,
    ...scoreDraftBody.read(draft.body),
  }))
}

/** Adds a draft, or puts it in the place of what it was. */
export async function saveDraft(tx: Connection, of: Omit<DraftRecord, 'byName'>): Promise<void> {
  const { attemptId, itemId, version, by, levels, comment, again } = of
  const row = {
    attemptId,
    itemId,
    version,
    changedBy: by,
    body: scoreDraftBody.print({ levels, comment, again }),
  }
  await tx
    .insert(scoreDrafts)
    .values(row)
    .onConflictDoUpdate({ target: [scoreDrafts.attemptId, scoreDrafts.itemId], set: row })
}

/** Takes the draft for an answer away. */
export async function dropDraft(
  tx: Connection,
  of: { readonly attemptId: AttemptId; readonly itemId: ItemId },
): Promise<void> {
  const isIt = and(eq(scoreDrafts.attemptId, of.attemptId), eq(scoreDrafts.itemId, of.itemId))
  await tx.delete(scoreDrafts).where(isIt)
}

/** A teacher's kept comments, the latest first. */
export async function commentsOf(tx: Connection, ownerId: UserId): Promise<readonly KeptComment[]> {
  return tx
    .select({ id: keptComments.id, text: keptComments.text })
    .from(keptComments)
    .where(eq(keptComments.ownerId, ownerId))
    .orderBy(desc(sql`rowid`))
}

/** Keeps a comment of a teacher. */
export async function addComment(
  tx: Connection,
  comment: KeptComment & { readonly ownerId: UserId },
): Promise<void> {
  await tx.insert(keptComments).values(comment)
}

/** Forgets a comment of a teacher; somebody else's stays. */
export async function dropComment(
  tx: Connection,
  of: { readonly id: CommentId; readonly ownerId: UserId },
): Promise<void> {
  await tx.delete(keptComments).where(and(eq(keptComments.id, of.id), eq(keptComments.ownerId, of.ownerId)))
}
