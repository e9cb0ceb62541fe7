import { saveClaim, userBySignIn } from '#db/repositories'
import type { Connection, UserRecord } from '#db/repositories'

/**
 * Gives a rostered learner without a password their own sign-in and password; null when that sign-in is
 * somebody else's.
 */
export async function claimAccount(
  tx: Connection,
  known: UserRecord,
  input: { readonly signIn: string; readonly passwordHash: string },
): Promise<UserRecord | null> {
  const holder = await userBySignIn(tx, input.signIn)
  if (holder && holder.id !== known.id) return null
  await saveClaim(tx, known.id, input.signIn, input.passwordHash)
  return { ...known, signIn: input.signIn, passwordHash: input.passwordHash }
}
