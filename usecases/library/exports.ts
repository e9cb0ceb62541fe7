import { ok, refuse } from '#core/base'
import type { BookId, ResourceId, Result } from '#core/base'
import { canSeeResource } from '#core/access'
import type { AccessRefusal, Teacher } from '#core/access'
import { printCase, printItems, printOutline, printQtiPackage } from '#core/formats'
import { booksFor, frameworksFor, resourceById, standardsOf } from '#db/repositories'
import type { Deps } from '../ground/deps'
import type { FileText } from '../pacing/files'

/** A piece with its items as a file: a QTI 3.0 package, or a bank of items as a table. */
export async function pieceFile(
  deps: Pick<Deps, 'store'>,
  actor: Teacher,
  of: { readonly resourceId: ResourceId; readonly as: 'qti' | 'csv' },
): Promise<Result<FileText, AccessRefusal>> {
  const record = await resourceById(deps.store.read, of.resourceId)
  if (!record || !canSeeResource(actor, record)) return refuse({ code: 'access/not-found', what: 'piece' })
  const { resource } = record
  if (of.as === 'csv')
    return ok({
      name: `${resource.code}.csv`,
      type: 'text/csv; charset=utf-8',
      text: printItems(resource.items, resource),
    })
  return ok({ name: `${resource.code}.zip`, type: 'application/zip', text: printQtiPackage(resource) })
}

/** A framework of standards as CASE 1.0. */
export async function frameworkFile(
  deps: Pick<Deps, 'store' | 'clock'>,
  actor: Teacher,
  frameworkId: string,
): Promise<Result<FileText, AccessRefusal>> {
  const tx = deps.store.read
  const framework = (await frameworksFor(tx, actor.schoolId)).find((f) => f.id === frameworkId)
  if (!framework) return refuse({ code: 'access/not-found', what: 'framework' })
  const text = printCase(framework, await standardsOf(tx, frameworkId), deps.clock.now())
  return ok({ name: `${frameworkId}.json`, type: 'application/json', text })
}

/** The outline of a textbook as a table. */
export async function outlineFile(
  deps: Pick<Deps, 'store'>,
  actor: Teacher,
  bookId: BookId,
): Promise<Result<FileText, AccessRefusal>> {
  const book = (await booksFor(deps.store.read, actor.schoolId)).find((b) => b.id === bookId)
  if (!book) return refuse({ code: 'access/not-found', what: 'textbook' })
  const name = `${book.title.replace(/[^\p{L}\p{N} .-]/gu, '').trim() || 'textbook'}.csv`
  return ok({ name, type: 'text/csv; charset=utf-8', text: printOutline(book) })
}

/** Frameworks of standards open to the actor. */
export async function listFrameworks(deps: Pick<Deps, 'store'>, actor: Teacher) {
  const frameworks = await frameworksFor(deps.store.read, actor.schoolId)
  return ok({ frameworks: frameworks.map(({ id, title }) => ({ id, title })) })
}
