import { fromPublishing } from '../availability'
import type { Window } from '../availability'
import type { Instant, Minutes } from '../base'
import type { Caution } from './caution'
import type { ClassAtLastLook, LastLookFacts } from './facts'

/** More minutes of work that is due on one day are too much for most. */
const FULL_DAY: Minutes = 90

/** What the class has besides, seen together with this. */
export function besideOthers(
  of: ClassAtLastLook,
  { draft, pieces, from }: LastLookFacts,
): readonly Caution[] {
  const { classId, window, others, ground } = of
  if (window === null) return []
  const found: Caution[] = []
  if (draft.isFirst) {
    const meanwhile = others.find(
      (o) => o.isTest && o.window !== null && overlap(fromPublishing(window, from), o.window),
    )
    if (meanwhile) found.push({ code: 'blocks-test', classId, title: meanwhile.title })
  }
  if (window.due === null) return found
  const dayOf = (at: Instant) => ground.zone.local((at - 1) as Instant).on
  const on = dayOf(window.due)
  const sameDay = others.filter(
    (o) => o.window !== null && o.window.due !== null && dayOf(o.window.due) === on,
  )
  const test = [...pieces.values()].some((p) => p.isTest) ? sameDay.find((o) => o.isTest) : undefined
  if (test) found.push({ code: 'two-tests', classId, on, title: test.title })
  const minutes = [...pieces.values(), ...sameDay].reduce((sum, p) => sum + p.minutes, 0)
  if (sameDay.length > 0 && minutes > FULL_DAY)
    found.push({ code: 'full-day', classId, on, minutes, titles: sameDay.map((o) => o.title) })
  return found
}

function overlap(a: Window, b: Window): boolean {
  const opens = (w: Window) => w.opens ?? w.listed ?? Number.NEGATIVE_INFINITY
  const ends = (w: Window) => w.closes ?? w.due ?? Number.POSITIVE_INFINITY
  return opens(a) < ends(b) && opens(b) < ends(a)
}
