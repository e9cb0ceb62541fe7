import { cardOfKind } from '#core/library'
import { navigateTo } from '#imports'
import type { ClassId, LessonId } from '#core/base'
import { useShelf } from '~/places/shelf'
import type { Selection } from '../desk/selection'
import type { DeskColumn } from '../stores/deskColumn'

/** From the desk to the composer, filled in with a piece, its lesson and the class. */
export function useAssigning() {
  const shelf = useShelf()

  /** One piece, or several with a comma between their ids. */
  async function assign(piece: string, lesson: LessonId, classId: ClassId): Promise<void> {
    await navigateTo({ path: '/work/new', query: { piece, lesson, class: classId } })
  }
  /** The lesson's check, or else its first piece. */
  async function assignLesson(at: Selection | null, column: DeskColumn | null): Promise<void> {
    if (at?.kind !== 'lesson') return
    const pieces = shelf.piecesOf(column?.lessons.get(at.lessonId)?.bookLessonId ?? null)
    const piece = pieces.find((p) => cardOfKind(p.kind).measures === 'check') ?? pieces[0]
    if (piece) await assign(piece.id, at.lessonId, at.classId)
  }
  return { assign, assignLesson }
}
