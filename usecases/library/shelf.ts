import { asId, ok, refuse } from '#core/base'
import type { ResourceId, Result, UserId } from '#core/base'
import { canWriteResource, canSeeResource } from '#core/access'
import type { AccessRefusal, Actor, Teacher } from '#core/access'
import { checkResource } from '#core/library'
import type { LibraryRefusal, Resource, Source } from '#core/library'
import {
  addResource,
  assignmentsFor,
  booksFor,
  cardsFor,
  formerFormsOf,
  layersOf,
  ownCodeTaken,
  resourceById,
  standardsByCode,
  standardsFor,
  trailSettingsOf,
} from '#db/repositories'
import type { Connection, ResourceCard } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { withKeptFiles } from './files'
import { classesInView } from '../ground/classAccess'
import { classWindow, namedClasses } from '#core/work'
import { worldLoader } from '../ground/world'

/** What a shelf shows of a piece. */
export function asCard(
  { schoolId, ownerId, position: _, isShared: __, ...card }: ResourceCard,
  { userId }: Pick<Actor, 'userId'>,
) {
  return { ...card, own: schoolId !== null, source: sourceOf({ schoolId, ownerId }, userId) }
}

/** Where a piece comes from, seen by somebody. */
function sourceOf({ schoolId, ownerId }: Pick<ResourceCard, 'schoolId' | 'ownerId'>, userId: UserId): Source {
  if (schoolId === null) return 'textbook'
  return ownerId === userId ? 'own' : 'school'
}

/** The textbooks as outlines, and cards of every piece open to the school. */
export async function showShelf(deps: Deps, actor: Teacher) {
  const tx = deps.store.read
  const pieces = await cardsFor(tx, actor)
  return ok({
    books: await booksFor(tx, actor.schoolId),
    standards: await standardsFor(tx, actor.schoolId),
    pieces: pieces.map((card) => asCard(card, actor)),
  })
}

/**
 * A piece with items and answers, its standards in words, and where and when the actor's classes already had
 * it.
 */
export async function lookInside(deps: Deps, actor: Teacher, resourceId: ResourceId) {
  const tx = deps.store.read
  const record = await resourceById(tx, resourceId)
  if (!record) return refuse({ code: 'access/not-found' as const, what: 'piece' })
  const codes = [...record.resource.standards, ...record.resource.items.flatMap((i) => i.standard ?? [])]
  const classIds = (await classesInView(tx, actor)).map((c) => c.id)
  const load = worldLoader(tx)
  const used = []
  const having = (await assignmentsFor(tx, actor.schoolId, actor.userId, classIds)).filter((a) =>
    a.pieces.some((p) => p.resourceId === resourceId),
  )
  // what one's own work gives out can be looked at, whoever wrote it
  if (!canSeeResource(actor, record) && having.length === 0)
    return refuse({ code: 'access/not-found' as const, what: 'piece' })
  for (const work of having.filter((a) => a.state !== 'withdrawn')) {
    const world = await load(work.authorId, namedClasses(work))
    for (const id of namedClasses(work).filter((c) => classIds.includes(c)))
      used.push({
        title: work.title,
        className: world.classes.get(id)?.record.name ?? '',
        dueAt: classWindow(work, id, world.classes.get(id)?.ground)?.due ?? null,
      })
  }
  const { resource, revision } = record
  return ok({
    resource,
    revision,
    formerForms: await formerFormsOf(tx, resourceId),
    mayEdit: canWriteResource(actor, record),
    isShared: record.isShared,
    source: sourceOf(record, actor.userId),
    versions: await versionNames(tx, actor, resourceId),
    standards: await standardsByCode(tx, actor.schoolId, codes),
    used,
  })
}

/** The trails of the school for which a piece has a version, by name. */
async function versionNames(tx: Connection, actor: Teacher, id: ResourceId): Promise<readonly string[]> {
  const { trails } = await trailSettingsOf(tx, actor.schoolId)
  const made = new Set((await layersOf(tx, actor.schoolId, [id])).map((l) => l.trailId))
  return trails.filter((t) => made.has(t.id)).map((t) => t.name)
}

/** What a piece serves: what is said of it, and what its items are about. */
export function standardsIn(piece: Pick<Resource, 'standards' | 'items'>): readonly string[] {
  return [...new Set([...piece.standards, ...piece.items.flatMap((i) => i.standard ?? [])])]
}

/**
 * Adds an own piece, open to its writer alone until it is shared; it may go with a lesson of a textbook. Refused when
 * an item cannot be answered, or the code is taken.
 */
export async function makePiece(
  deps: Deps,
  actor: Teacher,
  { bookLessonId = null, ...input }: Omit<Resource, 'id'> & { readonly bookLessonId?: string | null },
): Promise<Result<{ readonly resourceId: ResourceId }, AccessRefusal | LibraryRefusal>> {
  return writing(
    deps.store,
    async (tx): Promise<Result<{ readonly resourceId: ResourceId }, AccessRefusal | LibraryRefusal>> => {
      const code = input.code.trim().toLowerCase() || `own${deps.ids.newJoinCode()}`
      if (bookLessonId !== null && !(await isLessonFor(tx, actor, bookLessonId)))
        return refuse({ code: 'access/not-found', what: 'lesson' })
      const kept = await withKeptFiles(tx, actor, input, deps.clock.now())
      if (!kept.ok) return kept
      const checked = checkResource({
        ...kept.value,
        id: asId<ResourceId>(deps.ids.newId()),
        code,
        standards: standardsIn(input),
      })
      if (!checked.ok) return checked
      if (await ownCodeTaken(tx, actor.schoolId, code))
        return refuse({ code: 'library/bad-code', field: 'code', value: code })
      await addResource(tx, {
        resource: checked.value,
        schoolId: actor.schoolId,
        ownerId: actor.userId,
        bookId: null,
        bookLessonId,
        position: 0,
        isShared: false,
        revision: 1,
      })
      return ok({ resourceId: checked.value.id })
    },
  )
}

/** Whether a textbook that is open to somebody has a lesson. */
async function isLessonFor(tx: Connection, actor: Teacher, bookLessonId: string): Promise<boolean> {
  const books = await booksFor(tx, actor.schoolId)
  return books.some((b) => b.units.some((u) => u.lessons.some((l) => l.id === bookLessonId)))
}
