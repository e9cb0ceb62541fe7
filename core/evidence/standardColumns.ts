import type { Instant } from '../base'

/** A lesson of a class's plan that serves a standard; `over` is the end of its last meeting, null without a place. */
export interface ServedByLesson {
  readonly code: string
  readonly unit: string
  readonly number: string
  readonly how: 'taught' | 'assessed'
  readonly overAt: Instant | null
}

/** A standard as a column of a class's map. */
export interface StandardColumn {
  readonly code: string
  /** The plan's unit that first serves it; null: no lesson does. */
  readonly unit: string | null
  /** Numbers of the lessons that teach it, in the plan's order. */
  readonly lessons: readonly string[]
  /** When the last of those lessons that are over was over. */
  readonly taughtAt: Instant | null
  /** When the next of them will be over. */
  readonly toComeAt: Instant | null
}

/** Standards in the order in which a plan comes to them; behind them those that only work has asked for, by code. */
export function standardColumns(
  served: readonly ServedByLesson[],
  asked: ReadonlySet<string>,
  now: Instant,
): readonly StandardColumn[] {
  const planned = new Map<string, ServedByLesson[]>()
  for (const lesson of served) planned.set(lesson.code, [...(planned.get(lesson.code) ?? []), lesson])
  const others = [...asked].filter((code) => !planned.has(code)).sort()
  return [
    ...[...planned].map(([code, lessons]) => ({ code, ...teachingOf(lessons, now) })),
    ...others.map((code) => ({ code, unit: null, lessons: [], taughtAt: null, toComeAt: null })),
  ]
}

/** Not asked for again so long after it was taught: worth a look. */
const LONG = 5 * 7 * 86_400_000

/** A standard was taught, and has not been asked for at all, or not for five weeks; `lastAt`: when it was last. */
export function isForgotten(
  of: { readonly taughtAt: Instant | null; readonly lastAt: Instant | null },
  now: Instant,
): boolean {
  if (of.taughtAt === null) return false
  return of.lastAt === null || now - Math.max(of.taughtAt, of.lastAt) >= LONG
}

function teachingOf(lessons: readonly ServedByLesson[], now: Instant): Omit<StandardColumn, 'code'> {
  const teaching = lessons.filter((l) => l.how === 'taught')
  const times = teaching.flatMap((l) => l.overAt ?? []).sort((a, b) => a - b)
  return {
    unit: lessons[0]?.unit ?? null,
    lessons: [...new Set(teaching.map((l) => l.number))],
    taughtAt: times.filter((t) => t <= now).at(-1) ?? null,
    toComeAt: times.find((t) => t > now) ?? null,
  }
}
