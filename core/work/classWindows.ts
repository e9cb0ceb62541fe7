import { grownOnly, resolveWindow } from '../availability'
import type { Ground, Moment, Window, WindowSpec } from '../availability'
import type { ClassId, LessonId } from '../base'
import type { Draft } from './types'

/** Lessons on which an assignment's own window, and those of its pieces, stand. */
export function anchoredLessons({ window, pieces }: Pick<Draft, 'window' | 'pieces'>): LessonId[] {
  const moments: readonly (Moment | null)[] = [window, ...pieces.map((p) => p.window)].flatMap((w) =>
    Object.values(w),
  )
  return [...new Set(moments.flatMap((m) => (m?.kind === 'anchor' ? [m.lessonId] : [])))]
}

/** Classes that an assignment names. */
export function namedClasses(of: Pick<Draft, 'targets'>): ClassId[] {
  return of.targets.flatMap((t) => (t.target.kind === 'class' ? [t.target.classId] : []))
}

/** The window as given for one class. */
export function windowOfClass(work: Pick<Draft, 'window' | 'targets'>, classId: ClassId): WindowSpec {
  const own = work.targets.find((t) => t.target.kind === 'class' && t.target.classId === classId)
  return { ...work.window, ...own?.overrides.window }
}

/** The windows of all pieces as given for one class, alike ones once. */
export function windowsOfClass(
  work: Pick<Draft, 'window' | 'pieces' | 'targets'>,
  classId: ClassId,
): readonly WindowSpec[] {
  const shared = windowOfClass(work, classId)
  const own = new Map(work.pieces.map((p) => [JSON.stringify(p.window), p.window]))
  return [...own.values()].map((moments) => ({ ...shared, ...moments }))
}

/**
 * A class's window as the desk and lists show it, from the first of its pieces that opens to the last that is due;
 * null when one cannot stand there.
 */
export function classWindow(
  work: Pick<Draft, 'window' | 'pieces' | 'targets'>,
  classId: ClassId,
  ground: Ground | undefined,
): Window | null {
  if (!ground) return null
  let whole: Window | null = null
  for (const spec of windowsOfClass(work, classId)) {
    const window = resolveWindow(spec, ground)
    if (!window.ok) return null
    whole = whole === null ? window.value : grownOnly(whole, window.value)
  }
  return whole
}
