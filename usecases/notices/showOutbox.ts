import { ok } from '#core/base'
import type { Teacher } from '#core/access'
import type { Letter } from '#ports'
import { learnersOf } from '#db/repositories'
import { classesInView } from '../ground/classAccess'
import type { Deps } from '../ground/deps'

/** Of all letters those to learners of classes that the actor may see; the newest first, as they come. */
export async function showOutbox(
  deps: Pick<Deps, 'store'>,
  actor: Teacher,
  all: readonly (Letter & { readonly number: number })[],
) {
  const tx = deps.store.read
  const classIds = (await classesInView(tx, actor)).map((c) => c.id)
  const known = new Set([...(await learnersOf(tx, classIds)).values()].flat().map((l) => l.id))
  const letters = all.filter((letter) => known.has(letter.to.userId))
  return ok({
    letters: letters.map(({ to: { name, signIn }, ...letter }) => ({ ...letter, to: { name, signIn } })),
  })
}
